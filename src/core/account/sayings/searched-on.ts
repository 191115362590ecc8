import { keptFor } from '../../base'
import type { FactContext } from '../facts'
import { finalRun, revisedBetween, searchedIn } from '../standing'
import { daysOf, spellsOf } from '../words'
import { saying } from './saying'

interface SearchedOn {
  sourceIds: string[]
  /** Which of the times at which they were searched, from 0. */
  spells: number[]
  /** Everything that was searched was searched so, and how many that is. */
  all: boolean
  total: number
  /** The last time was with another strategy than the time before. */
  revised: boolean
  /** The counts that are given are those of the last time. */
  counted: boolean
}

interface Dated {
  sourceId: string
  spells: number
  revised: boolean
  counted: boolean
}

const datesOf = keptFor(({ review }: FactContext): Dated[] =>
  searchedIn(review).flatMap(({ id: sourceId }) => {
    const spells = spellsOf(daysOf(review, sourceId))
    const counting = finalRun(review, sourceId)?.at.slice(0, 10) ?? ''
    return spells.length
      ? [
          {
            sourceId,
            spells: spells.length,
            revised: revisedBetween(review, sourceId),
            counted: counting >= spells.at(-1)!.first,
          },
        ]
      : []
  }),
)

const byTime = ({ review }: FactContext): boolean => review.account.order === 'time'
const again = (dates: readonly Dated[]): Dated[] => dates.filter((d) => d.spells > 1)
const ids = (dates: readonly Dated[]): string[] => dates.map((d) => d.sourceId)

/** Was every database that was searched again searched with another strategy? */
const allRevised = (dates: readonly Dated[]): boolean =>
  again(dates).length > 0 && again(dates).every((d) => d.revised)

/** Those that were searched as often, most first; in order of time the first time of all. */
function groupsOf(c: FactContext): Dated[][] {
  const dates = datesOf(c)
  if (byTime(c)) return dates.length ? [dates] : []
  const groups = new Map<number, Dated[]>()
  for (const d of dates) groups.set(d.spells, [...(groups.get(d.spells) ?? []), d])
  return [...groups.values()].sort((a, b) => b.length - a.length)
}

/** On which days databases were searched: all times of those that were searched as often, or the first of all. */
export const searchedOn = saying<SearchedOn>({
  family: 'days of searching',
  groups: (c) => groupsOf(c).map((g) => ids(g).join('+')),
  place: { theme: 'where', phase: 'searched', stage: 'searches' },
  core: true,
  finds: {
    when: {},
    found: (c, of) => {
      const dates = datesOf(c)
      const own = dates.filter((d) => of.split('+').includes(d.sourceId))
      const times = byTime(c) ? 1 : own[0]!.spells
      return {
        sourceIds: ids(own),
        spells: Array.from({ length: times }, (_, n) => n),
        all: own.length === dates.length,
        total: dates.length,
        revised: times > 1 && allRevised(own),
        counted: times > 1 && own.every((d) => d.counted),
      }
    },
  },
})

/** Each time of searching behind the first, in order of time. */
export const searchedAgain = saying<SearchedOn>({
  family: 'days of searching again',
  groups: (c) =>
    byTime(c)
      ? Array.from({ length: Math.max(0, ...datesOf(c).map((d) => d.spells)) }, (_, n) => `${n}`).slice(1)
      : [],
  place: { theme: 'where', phase: 'again', stage: 'searches' },
  core: true,
  finds: {
    when: {},
    found: (c, of) => {
      const dates = datesOf(c)
      const nth = Number(of)
      const own = dates.filter((d) => d.spells > nth)
      const last = dates.every((d) => d.spells <= nth + 1)
      return {
        sourceIds: ids(own),
        spells: [nth],
        all: own.length === dates.length,
        total: dates.length,
        revised: last && own.every((d) => d.spells === nth + 1 && d.revised),
        counted: last && dates.every((d) => d.counted),
      }
    },
  },
})
