import { difference, openReview, readReview, relationWords, type Difference } from '@/core/handed'
import {
  fold,
  mattersOf,
  nameOfPerson,
  ofFile,
  ownSide,
  relate,
  type Entry,
  type Matter,
  type SideJournal,
} from '@/core/review'
import { sourceFactsOf } from '@/standins/source-facts'
import type { BlocksHere } from './records/blocks-here'

/** How a package stands to the same review in this browser, and what can be taken in of it. */
export interface ComparedHere {
  words: string
  /** What differs from here to there. */
  parts: Difference['parts']
  /** What was changed in its plan there since they parted, to be taken over matter by matter. */
  matters: Matter[]
  /** What people ruled and said there and not here, each as a side journal: theirs, not that of who works here. */
  sides: { side: SideJournal; deeds: number; name: string }[]
}

/** Compares a package with the review of the same origin that lies here; `person` works here. */
export async function compareHere(
  blocks: BlocksHere,
  file: Blob,
  reviewId: string,
  person: string,
): Promise<ComparedHere> {
  const there = await openReview(ofFile(file))
  if (!there.ok) throw new Error(there.problems[0]?.message ?? 'The package could not be read.')
  const entries = await blocks.entries(reviewId)
  const here = await readReview(entries, (digest) => blocks.asStored(digest))
  const relation = relate(entries, there.value.entries)
  const compared = [here, there.value].map((r) => ({ ...r, source: sourceFactsOf(r.review) }))
  const [before, since] = [true, false].map((common) =>
    relation.is === 'parted' ? there.value.entries.filter((e) => e.seq < relation.after === common) : [],
  ) as [Entry[], Entry[]]
  const people = [...new Set(since.map((e) => e.by))].filter((by) => by !== person)
  const known = new Set(here.review.sides.flatMap((s) => s.digests))
  return {
    words: relationWords(relation),
    parts: difference(compared[0]!, compared[1]!).parts,
    matters: before.length
      ? mattersOf(fold(before, there.value.beside).review, here.review, there.value.review)
      : [],
    sides: people.flatMap((by) => {
      const side = ownSide(there.value.entries, by)
      const deeds = side?.entries.filter((e) => e.kind !== 'person.named' && !known.has(e.digest)).length ?? 0
      return side && deeds ? [{ side, deeds, name: nameOfPerson(there.value.review, by) }] : []
    }),
  }
}
