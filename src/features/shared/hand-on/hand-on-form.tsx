'use client'
import { Button, Checkbox, Modal, Radio, Select } from 'antd'
import { useMemo, useRef, useState } from 'react'
import { messageOf, plural } from '@/core/base'
import { dateWords } from '@/core/account'
import { askToRead } from '@/core/doing'
import { BACKUP_RHYTHMS, namesInTexts, workOf, type BackupRhythm, type PassName } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { callback, longDesk, type HandedAs } from '@/workers'
import type { Check } from '@/verify'
import { DayField } from '@/ui/day-field'
import { namedWorks, useNamedWorks } from '../named-works'
import { setRhythm, useBackup } from './backup'
import { CheckReport } from './check-report'
import { NamesLeft, textKey } from './names-left'
import { packageOf, rescuePackage, saveAs } from './save-package'
import './hand-on.css'

const LEAVES = [
  ['texts', 'abstracts and full texts', 'where their rights do not let you hand them on'],
  ['names', 'names', 'people are told apart by numbers'],
  [
    'rulings',
    'rulings, and all that was done because of them',
    'for another reader, who reads without seeing them',
  ],
] as const
type Leave = (typeof LEAVES)[number][0]

const PASSES: { value: PassName; label: string }[] = [
  { value: 'broad', label: 'titles and abstracts' },
  { value: 'close', label: 'full texts' },
]

const RHYTHMS = (Object.keys(BACKUP_RHYTHMS) as BackupRhythm[]).map((value) => ({ value, label: value }))

export default function HandOn({ close }: { close: () => void }) {
  const store = useStore()
  const review = useSession((s) => s.folded.review)
  const { rhythm, last } = useBackup()
  const named = namedWorks(review)
  const [as, setAs] = useState<'review' | 'plan'>('review')
  const [left, setLeft] = useState<readonly Leave[]>([])
  // Works for another reader, who is shown these and nothing else.
  const [toRead, setToRead] = useState<{ which: string; pass: PassName; until?: string | undefined }>({
    which: 'all',
    pass: 'broad',
  })
  const forReader = as === 'review' && left.includes('rulings')
  // Texts that hold a name go on only where somebody said so, of each.
  const nameless = as === 'review' && left.includes('names')
  const texts = useMemo(() => (nameless ? namesInTexts(review) : []), [nameless, review])
  const [agreed, setAgreed] = useState<readonly string[]>([])
  const asksOf = texts.filter((t) => !agreed.includes(textKey(t))).length
  const asked = useNamedWorks(review, forReader && toRead.which !== 'all' ? toRead.which : undefined)
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
  return (
    <Modal
      open
      width={620}
      title="Hand the review on"
      okText="Save it"
      okButtonProps={{ autoFocus: true, loading: work !== undefined, disabled: asksOf > 0 }}
      onOk={save}
      onCancel={leave}
      footer={(_, { OkBtn }) => (
        <>
          <Button disabled={work !== undefined} onClick={verify}>
            Check it first
          </Button>
          <OkBtn />
        </>
      )}
    >
      <p className="sub">
        One file with the record, the section and its evidence. Whoever has it can open, check and run it
        again; without Luvren they open its page in a browser.
      </p>
      <Radio.Group className="hand-on-as" value={as} onChange={(e) => setAs(e.target.value as typeof as)}>
        <Radio value="review">The review: for a co-author, a supervisor, or as a backup</Radio>
        <fieldset className="hand-on-left">
          <legend className="sub">Leave out</legend>
          {LEAVES.map(([id, label, why]) => (
            <Checkbox
              key={id}
              disabled={as !== 'review'}
              checked={left.includes(id)}
              onChange={(e) => setLeft(e.target.checked ? [...left, id] : left.filter((l) => l !== id))}
            >
              {label} <span className="sub">{why}</span>
            </Checkbox>
          ))}
          {forReader && (
            <span className="hand-on-read sub">
              They are asked to read
              <Select
                size="small"
                variant="borderless"
                aria-label="What another reader reads"
                popupMatchSelectWidth={false}
                value={toRead.pass}
                options={PASSES}
                onChange={(pass) => setToRead({ ...toRead, pass })}
              />
              of
              <Select
                size="small"
                variant="borderless"
                aria-label="Which works another reader reads"
                popupMatchSelectWidth={false}
                value={toRead.which}
                options={[{ value: 'all', label: 'all works' }, ...named]}
                onChange={(which) => setToRead({ ...toRead, which })}
              />
              {asked && toRead.which !== 'all' && <b>{plural(asked.length, 'work')}</b>}
              <DayField label="until" value={toRead.until} set={(until) => setToRead({ ...toRead, until })} />
            </span>
          )}
        </fieldset>
        {texts.length > 0 && <NamesLeft texts={texts} agreed={agreed} agree={setAgreed} />}
        <Radio value="plan">Its plan only: for the next review, or for a class</Radio>
      </Radio.Group>
      <p className="sub">
        {last
          ? `It was saved as a whole last on ${dateWords(last.at)}. `
          : 'It was not saved as a whole here yet. '}
        Remind me
        <Select
          size="small"
          variant="borderless"
          aria-label="How often to be reminded of a backup"
          popupMatchSelectWidth={false}
          value={rhythm}
          options={RHYTHMS}
          onChange={(value: BackupRhythm) => store.deed(setRhythm(store, value))}
        />
      </p>
      {work && (
        <p className="sub" role="status">
          {work} …
        </p>
      )}
      {failed && (
        <p role="alert">
          {failed}{' '}
          <button className="plain link" onClick={() => store.deed(rescuePackage(store))}>
            save the record alone, without the files for people
          </button>
        </p>
      )}
      {checks && <CheckReport checks={checks} done={work === undefined} />}
    </Modal>
  )
}
