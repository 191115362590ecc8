import { inWords, listed, plural, pluralInWords, thousands } from '../../base'
import type { FlowColumn } from '../../selection'
import { hasAnswered, peopleAsked, stepsGone, timesLogged } from '../ways-gone'
import { dateWords, searchedWords } from '../words'
import { MISSING, type FactContext, type Reader } from './fact'

const gone =
  <T>(
    all: (review: FactContext['review'], id: string) => T[],
    from: string,
    words: (all: T[]) => string,
  ): Reader =>
  (c, id) => {
    const own = all(c.review, id)
    return { text: own.length ? words(own) : MISSING, missing: !own.length, stage: 'selection', from }
  }
type Words<T> = (all: T[]) => string
const followed = (words: Words<ReturnType<typeof stepsGone>[number]>): Reader =>
  gone(stepsGone, 'the times at which references were followed', words)
const looked = (words: Words<ReturnType<typeof timesLogged>[number]>): Reader =>
  gone(timesLogged, 'what was logged of this way', words)
const people = (words: Words<ReturnType<typeof peopleAsked>[number]>): Reader =>
  gone(peopleAsked, 'who was asked', words)

const sum = <T>(all: readonly T[], of: (one: T) => number | undefined): number =>
  all.reduce((n, one) => n + (of(one) ?? 0), 0)
/** "two of three times". */
const times = (some: number, all: number): string => `${inWords(some)} of ${inWords(all)} times`

const round =
  (of: (c: FlowColumn) => number, words: (n: number) => string): Reader =>
  (c, n) => {
    const found = c.figures.flow.rounds[Number(n)]
    return {
      text: words((found?.columns ?? []).reduce((sum, column) => sum + of(column), 0)),
      missing: !found,
      stage: 'selection',
      from: 'the flow of this update',
    }
  }

/** Facts of the ways that are no database, and of updates. */
export const WAYS = {
  'followed.of': followed((all) => plural(new Set(all.flatMap((s) => s.of)).size, 'work')),
  'followed.days': followed((all) => searchedWords(all.map((s) => s.day))),
  'followed.through': followed((all) => listed([...new Set(all.flatMap((s) => s.through ?? []))])),
  'followed.steps': followed((all) => pluralInWords(all.length, 'step')),
  'followed.named': followed((all) =>
    plural(
      sum(all, (s) => s.named),
      'work',
    ),
  ),
  'followed.known': followed((all) => thousands(sum(all, (s) => (s.named === undefined ? 0 : s.known)))),
  'followed.uncounted': followed((all) =>
    pluralInWords(all.filter((s) => s.named === undefined).length, 'step'),
  ),
  'looked.days': looked((all) => searchedWords(all.map((w) => w.day))),
  'looked.through': looked((all) =>
    plural(
      sum(all, (w) => w.lookedThrough),
      'record',
    ),
  ),
  'looked.named': looked((all) =>
    plural(
      sum(all, (w) => w.named),
      'work',
    ),
  ),
  'looked.taken': looked((all) => thousands(sum(all, (w) => w.taken))),
  'looked.uncounted': (c, id) => {
    const all = timesLogged(c.review, id)
    const asked = c.review.sources.find((s) => s.id === id)?.kind === 'people'
    const open = all.filter((w) => (asked ? w.named : w.lookedThrough) === undefined).length
    return {
      text: times(open, all.length),
      missing: !open,
      stage: 'selection',
      from: 'what was logged of this way',
    }
  },
  'people.asked': people((all) => `${inWords(all.length)} ${all.length === 1 ? 'person' : 'people'}`),
  'people.days': people((all) => searchedWords(all.map((x) => x.asked!))),
  'people.silent': people((all) => inWords(all.filter((x) => !hasAnswered(x)).length)),
  /** Cited as a personal communication is (Publication Manual of the APA, 7th edition, section 8.9). */
  contact: (c, id) => {
    const found = c.review.contacts?.find((x) => x.id === id)
    return {
      text: found
        ? `${found.who} (personal communication${found.answered ? `, ${dateWords(found.answered)}` : ''})`
        : MISSING,
      missing: !found?.who,
      stage: 'selection',
      from: 'what was noted of who was asked',
    }
  },
  /** What texts of before say of who has not answered. */
  'contacts.silent': people((all) => inWords(all.filter((x) => !hasAnswered(x)).length)),
  pages: (c, id) => {
    const n = (c.review.pages ?? []).filter((p) => p.sourceId === id && p.seen).length
    return {
      text: pluralInWords(n, 'page'),
      missing: !n,
      stage: 'selection',
      from: 'the pages that were seen',
    }
  },
  'round.identified': round(
    (c) => c.identified,
    (n) => plural(n, 'record'),
  ),
  'round.works': round((c) => c.works, thousands),
  'round.included': round((c) => c.included, thousands),
} satisfies Record<string, Reader>
