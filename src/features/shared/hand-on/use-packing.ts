import { useRef, useState } from 'react'
import { messageOf } from '@/core/base'
import { askToRead } from '@/core/doing'
import { workOf, type PassName, type Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { callback, longDesk, type HandedAs } from '@/workers'
import type { Check } from '@/verify'
import type { Leave } from './leave-out'
import { packageOf, saveAs } from './save-package'

/** Which works another reader is asked to read, in which pass, until when. */
export interface ToRead {
  which: string
  pass: PassName
  until?: string | undefined
}

export interface HandedOn {
  review: Review
  as: 'review' | 'plan'
  left: readonly Leave[]
  /** It goes to another reader, who is shown these works and nothing else. */
  forReader: boolean
  toRead: ToRead
  /** The works of a name, once they are found. */
  asked: readonly string[] | undefined
  /** Names of works that can be asked for. */
  named: readonly { value: string; label: string }[]
}

export interface Packing {
  /** What is under way, in words. */
  work: string | undefined
  failed: string | undefined
  checks: readonly Check[] | undefined
  save: () => void
  verify: () => void
  leave: () => void
}

/** Makes the package as it was chosen, saves it or has it checked, and says how far that is. */
export function usePacking(
  { review, as, left, forReader, toRead, asked, named }: HandedOn,
  close: () => void,
): Packing {
  const store = useStore()
  const [work, setWork] = useState<string>()
  const [failed, setFailed] = useState<string>()
  const [checks, setChecks] = useState<readonly Check[]>()
  const closed = useRef(false)
  const leave = (): void => {
    closed.current = true
    close()
  }
  const how = (askId?: string): HandedAs =>
    as === 'review'
      ? {
          as,
          ...Object.fromEntries(left.map((l) => [l, true])),
          ...(askId === undefined ? {} : { ask: askId }),
          handedBy: { at: store.now(), by: store.session.getState().person },
        }
      : {
          as,
          id: store.newId(),
          title: `${review.title || 'Review'} (plan)`,
          at: store.now(),
          by: store.session.getState().person,
        }
  const made = async (wanted: HandedAs): Promise<Blob | undefined> => {
    setFailed(undefined)
    setWork('Making the package')
    const read = await packageOf(store, wanted, (done, of) => {
      if (of) setWork(`Packing: ${done} of ${of}`)
      return !closed.current
    })
    if (read && !read.ok) setFailed(read.problems.map((p) => p.message).join(' '))
    return read?.ok ? read.value : undefined
  }
  const run = (job: () => Promise<void>): void =>
    store.deed(
      job()
        .catch((error: unknown) => setFailed(`The package could not be made: ${messageOf(error)}`))
        .finally(() => setWork(undefined)),
    )
  /** Who is handed it without rulings is asked for something: these works, in this pass. Gives the asking, by its id. */
  const ask = async (): Promise<string | undefined> => {
    if (!forReader) return undefined
    const { ruled } = store.session.getState().told
    const all = ruled.works.works
    const ids = toRead.which === 'all' ? all.map((w) => w.id) : (asked ?? [])
    if (toRead.which !== 'all' && !ids.length)
      throw new Error(
        asked
          ? 'no work is among those that they are to read.'
          : 'the works that they are to read are still looked for; try again in a moment.',
      )
    const records = ids.map((id) => workOf(all, id)?.records[0] ?? id)
    const called = toRead.which === 'all' ? '' : (named.find((n) => n.value === toRead.which)?.label ?? '')
    const { pass, until } = toRead
    const same = review.asked?.findLast(
      (a) => a.pass === pass && a.until === until && a.records.join() === records.join(),
    )
    if (same) return same.id
    const id = store.newId()
    await store.doIt(askToRead, { id, pass, records, called, blinded: true, until })
    return records.length ? id : undefined
  }
  // Who asks is said in the package.
  const save = (): void => (forReader ? store.inName(saveNow, 'hand on') : saveNow())
  const saveNow = (): void =>
    run(async () => {
      const wanted = how(await ask())
      const file = await made(wanted)
      if (!file) return
      await saveAs(store, wanted, file)
      close()
    })
  const verify = (): void =>
    run(async () => {
      const file = await made(how())
      if (!file) return
      setChecks([])
      setWork('Checking')
      const all = await longDesk().verify(
        file,
        callback((check: Check) => setChecks((before = []) => [...before, check])),
      )
      setChecks(all)
    })
  return { work, failed, checks, save, verify, leave }
}
