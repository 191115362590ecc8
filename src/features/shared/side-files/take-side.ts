import { digestOf, listed, plural } from '@/core/base'
import {
  ownSide,
  readSide,
  sideBytes,
  takenFrom,
  whatComes,
  type SideJournal,
  type WhatComes,
} from '@/core/review'
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
  const head = side.entries.at(-1)?.digest
  if (!head) throw new Error('Nothing was said in this file.')
  // One's own file comes from another browser in which one worked; what was said here is known already.
  const own = side.person === person ? ownSide(entries, person)?.entries : undefined
  const known =
    folded.review.sides.some((s) => s.person === side.person && s.digests.includes(head)) ||
    own?.some((e) => e.digest === head)
  if (known) return 'All of this file is here already.'
  const taken = takenFrom(side)
  const comes = whatComes(folded.review, taken)
  const bytes = sideBytes(side)
  await store.lay(async ({ keepBytes }) => {
    await keepBytes(bytes)
    await store.act('side.take', { person: side.person, head, digest: digestOf(bytes) })
  })
  return whatCame(side, comes)
}

function whatCame({ entries }: SideJournal, { fresh, changed, known, texts, settled }: WhatComes): string {
  const of = (n: number, words: string): string[] => (n ? [words] : [])
  const count = (kind: RegExp): number => entries.filter((e) => kind.test(e.kind)).length
  const [answers, comments] = [count(/^searchreview\.answer$/), count(/^searchreview\.comment$/)]
  const rulings = [
    ...of(fresh, plural(fresh, 'new ruling')),
    ...of(changed, `${plural(changed, 'ruling')} changed`),
    ...of(known, `${plural(known, 'ruling')} known already`),
  ]
  const others = [
    ...of(texts, `${plural(texts, 'note')} on full texts`),
    ...of(settled, `${plural(settled, 'difference')} settled`),
    ...of(answers, plural(answers, 'answer')),
    ...of(comments, plural(comments, 'comment')),
  ]
  return `Taken in: ${listed([...rulings, ...others])}.`
}
