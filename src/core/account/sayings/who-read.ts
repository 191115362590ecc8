import type { FactContext } from '../facts'
import { passSums } from '../facts/selection'

type PassName = 'broad' | 'close'

/** Works that were read by equally many, with all who read any of them. */
export interface ReadAlike {
  /** How many read each; none: they were ruled with others, unread. */
  each: number
  /** How many different people read some of them. */
  among: number
  works: number
}

/** How the works of a pass were read, those read by most first. Works ruled with others and read by nobody stand last. */
export function readAlike({ figures }: FactContext, pass: PassName): ReadAlike[] {
  const groups = new Map<number, { people: Set<string>; works: number }>()
  for (const { readers, count } of figures.read[pass]) {
    const group = groups.get(readers.length) ?? { people: new Set(), works: 0 }
    for (const reader of readers) group.people.add(reader)
    groups.set(readers.length, { ...group, works: group.works + count })
  }
  const read = [...groups.values()].reduce((n, g) => n + g.works, 0)
  const { screened, assessed } = passSums(figures)
  const unread = (pass === 'broad' ? screened : assessed) - read
  return [
    ...[...groups]
      .sort(([a], [b]) => b - a)
      .map(([each, { people, works }]) => ({ each, among: people.size, works })),
    ...(unread > 0 ? [{ each: 0, among: 0, works: unread }] : []),
  ]
}

/** Everybody who read in either pass. */
export const readersOfAny = ({ figures: { read } }: FactContext): number =>
  new Set([...read.broad, ...read.close].flatMap((r) => r.readers)).size

/** Who read the works of a pass, where it has to be told: more than one person reads, or something was read by nobody. */
export const tellsWho = (c: FactContext, pass: PassName): boolean =>
  readersOfAny(c) > 1 || readAlike(c, pass).some((g) => g.each === 0)
