import { held, plural, thousands } from '../base'
import type { PassName, ReadingAsked, Review, Ruled } from '../review'
import { PASSED, type Placed } from './place'

/** How many works of a pass were read by how many people, and how many readings are owed by the plan. */
export interface ReadingDone {
  /** Works to be read in the pass; bulk rulings read none. */
  works: number
  /** Works that were read by so many people, by how many: the most people first. */
  byReaders: readonly { readers: number; works: number }[]
  /** Works that nobody has read, and of those that one has read how many wait for a second by the plan; undefined without one. */
  first: number
  second: number | undefined
}

/** How far the reading of a pass has come, by how many people read each work. */
export function readingDone(
  review: Pick<Review, 'readingPlans'>,
  { byWork }: Pick<Ruled, 'byWork'>,
  pass: PassName,
  works: readonly { id: string }[],
  placed: (id: string) => Placed,
): ReadingDone {
  const wanted = new Set(
    works.flatMap(({ id }) => {
      const { place } = placed(id)
      if (pass === 'broad') return place === 'removed' ? [] : [id]
      return PASSED.includes(place) && place !== 'not had' ? [id] : []
    }),
  )
  const counts = new Map<number, number>()
  let read = 0
  for (const id of wanted) {
    const readers = readersOfWork(byWork, id, pass).length
    if (!readers) continue
    read++
    counts.set(readers, (counts.get(readers) ?? 0) + 1)
  }
  const once = counts.get(1) ?? 0
  const none = wanted.size - read
  const plan = review.readingPlans?.[pass]
  const twice = read - once
  const share = plan?.way === 'two each' ? 1 : plan?.way === 'a share by two' ? (plan.share ?? 0) : 0
  const second =
    plan && plan.way !== 'one each'
      ? Math.max(0, Math.min(once, Math.ceil(wanted.size * share) - twice))
      : undefined
  return {
    works: wanted.size,
    byReaders: [...counts]
      .map(([readers, n]) => ({ readers, works: n }))
      .sort((a, b) => b.readers - a.readers),
    first: none,
    second,
  }
}

/** Who read a work in a pass, by id; rulings of many at once read none. */
export const readersOfWork = (byWork: Ruled['byWork'], id: string, pass: PassName): string[] =>
  Object.values(held(byWork, id) ?? {})
    .filter((r) => r.pass === pass && !r.unread)
    .map((r) => r.reader)
    .sort()

/** The same in words: "read by two 60, by one 424; owed 424 second readings, 3 first". */
export function readingWords({ byReaders, first, second }: ReadingDone): string {
  const read = byReaders.map(
    ({ readers, works }, n) => `${n ? '' : 'read '}by ${numberOf(readers)} ${thousands(works)}`,
  )
  const owed = [
    ...(second ? [plural(second, 'second reading')] : []),
    ...(first ? [second ? `${thousands(first)} first` : plural(first, 'first reading')] : []),
  ]
  const done = read.length ? read.join(', ') : 'nothing is read yet'
  return `${done}; ${owed.length ? `owed ${owed.join(', ')}` : 'nothing is owed'}`
}
const numberOf = (n: number): string => ['none', 'one', 'two', 'three', 'four', 'five'][n] ?? String(n)

/** Of works that somebody was asked to read: how many each reader has read so far. */
export function askedDone(
  asked: ReadingAsked,
  readersOf: (recordId: string) => readonly string[],
): { reader: string; read: number }[] {
  const counts = new Map<string, number>()
  for (const id of asked.records)
    for (const reader of readersOf(id)) counts.set(reader, (counts.get(reader) ?? 0) + 1)
  return [...counts]
    .map(([reader, read]) => ({ reader, read }))
    .sort((a, b) => (a.reader < b.reader ? -1 : 1))
}
