import { digestOf, listed, plural } from '@/core/base'
import { readSide, sideBytes, type SideJournal } from '@/core/review'
import type { Store } from '@/store/store'

/** Takes another person's file into the open review; gives what came of it, in words. Rejects where it does not belong here. */
export async function takeSideFile(store: Store, file: File): Promise<string> {
  const read = readSide(new Uint8Array(await file.arrayBuffer()))
  if (!read.ok) throw new Error(read.problems[0]?.message ?? 'This file could not be read.')
  return takeSideIn(store, read.value)
}

/** The same of a side journal that was read already. */
export async function takeSideIn(store: Store, side: SideJournal): Promise<string> {
  const { entries, folded, person } = store.session.getState()
  if (side.origin.review !== folded.review.id || !entries.some((e) => e.digest === side.origin.digest))
    throw new Error('This file is of another review: it names records and lines that are not in this one.')
  if (side.person === person)
    throw new Error('This is your own file: what it holds is in this review already, under your name.')
  const head = side.entries.at(-1)?.digest
  if (!head) throw new Error('Nothing was said in this file.')
  const known = folded.review.sides.some((s) => s.person === side.person && s.digests.includes(head))
  if (known) return 'All of this file is here already.'
  const bytes = sideBytes(side)
  await store.lay(async ({ keepBytes }) => {
    await keepBytes(bytes)
    await store.act('side.take', { person: side.person, head, digest: digestOf(bytes) })
  })
  return `${whatCame(side)} came in.`
}

function whatCame({ entries }: SideJournal): string {
  const of = (kind: RegExp, one: string): string[] => {
    const n = entries.filter((e) => kind.test(e.kind)).length
    return n ? [plural(n, one)] : []
  }
  return listed([
    ...of(/^ruling\./, 'ruling'),
    ...of(/^searchreview\.answer$/, 'answer'),
    ...of(/^searchreview\.comment$/, 'comment'),
  ])
}
