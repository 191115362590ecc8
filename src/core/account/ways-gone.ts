import type { Contact, Review, Source, WayLogged } from '../review'

/** One time at which references or citing works were followed; counts that nobody made are absent. */
interface Step {
  of: readonly string[]
  day: string
  through?: string | undefined
  named?: number | undefined
  known?: number | undefined
  /** What was not known was taken on, as far as it was counted. */
  nothingNew: boolean
}

const loggedFor = (review: Review, id: string): WayLogged[] =>
  (review.ways ?? []).filter((w) => w.sourceId === id)
const kindOf = (review: Review, id: string): Source['kind'] | undefined =>
  review.sources.find((s) => s.id === id)?.kind

export const follows = (kind: Source['kind'] | undefined): boolean =>
  kind === 'reference lists' || kind === 'citing papers'

/** Each time at which a way of references was gone, here or outside, in the order of their days. */
export function stepsGone(review: Review, id: string): Step[] {
  if (!follows(kindOf(review, id))) return []
  const here = (review.steps ?? []).flatMap((s): Step[] =>
    s.sourceId === id
      ? [{ ...s, day: s.at.slice(0, 10), nothingNew: s.named === s.known, through: undefined }]
      : [],
  )
  const outside = loggedFor(review, id).map(({ of = [], day, through, named, known, taken }): Step => ({
    of,
    day,
    through: through?.trim() || undefined,
    named,
    known,
    nothingNew: named !== undefined && named === known && !taken,
  }))
  return [...here, ...outside].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/** Each time at which another way was logged by hand: a register, pages, a journal looked through, questions put to people. */
export const timesLogged = (review: Review, id: string): WayLogged[] =>
  follows(kindOf(review, id))
    ? []
    : loggedFor(review, id).sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))

/** The people of a source who were asked. */
export const peopleAsked = (review: Review, id: string): Contact[] =>
  (review.contacts ?? []).filter((c) => c.sourceId === id && c.asked)

export const hasAnswered = (c: Contact): boolean => !!c.answered && c.who.trim() !== ''

/** The sum of a number that was noted of each; undefined where it was not noted of all. */
export const sumOf = <T>(all: readonly T[], of: (one: T) => number | undefined): number | undefined =>
  all.some((one) => of(one) === undefined) ? undefined : all.reduce((n, one) => n + of(one)!, 0)

/** Ways that are no database, by id. */
export const otherWays = (review: Review): string[] =>
  review.sources.flatMap((s) => (s.kind === 'database' ? [] : [s.id]))

/** Was a way gone at least once, as far as it was noted? */
export const wasGone = (review: Review, id: string): boolean =>
  stepsGone(review, id).length > 0 ||
  timesLogged(review, id).length > 0 ||
  peopleAsked(review, id).length > 0 ||
  (review.pages ?? []).some((p) => p.sourceId === id && p.seen)
