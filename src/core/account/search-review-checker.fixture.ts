/** The slow checker of what is said of a review of the searches: it reads the journal's deeds only. */
import { stateOf, type CheckedEntry } from './journal-state.fixture'
import { DAY, isDay } from './protocol-checker.fixture'
import type { Patterns } from './selection-checker.fixture'

/** Patterns of sentences about who looked the searches over, each with what makes it true. */
export function searchReviewPatterns(
  entries: readonly CheckedEntry[],
  number: (words: string) => number,
): Patterns {
  const of = <T>(kind: string): T[] => entries.flatMap((e) => (e.kind === kind ? [e.payload as T] : []))
  const finished = of<{ as: string; at: string }>('searchreview.finish').at(-1)
  const all = of('searchreview.comment').length
  const as = (what: string): number =>
    of<{ as: string }>('searchreview.settle').filter((s) => s.as === what).length
  const [taken, declined] = [as('taken'), as('declined')]
  const who = 'Hedda Marrow(?: \\((.*?)\\))?'
  const by = 'by the guideline for Peer Review of Electronic Search Strategies \\(PRESS; Appendix I\\)\\.'
  const told = (day: number, role: string | undefined, m: RegExpExecArray): boolean =>
    finished !== undefined &&
    stateOf(entries).runs.length > 0 &&
    isDay(m, day, finished.at) &&
    (role ?? '') === finished.as
  const count = (words: string | undefined): number => (words === undefined ? 0 : number(words))
  return [
    [new RegExp(`^${who} reviewed the strategies on ${DAY} ${by}$`), (m) => told(2, m[1], m)],
    [new RegExp(`^On ${DAY}, ${who} reviewed the strategies ${by}$`), (m) => told(1, m[4], m)],
    [/^(?:[Ww]e|I) acted on the one comment made\.$/, () => all === 1 && taken === 1],
    [/^The one comment made was acted on\.$/, () => all === 1 && taken === 1],
    [
      /^(?:(?:We|I) declined the one comment made|The one comment made was declined), with a reason\.$/,
      () => all === 1 && declined === 1,
    ],
    [/^The one comment made is still open\.$/, () => all === 1 && taken + declined === 0],
    [/^All (\w+) comments are still open\.$/, (m) => number(m[1]!) === all && taken + declined === 0],
    [
      /^(?:(?:We|I) acted on all (\w+) comments|All (\w+) comments were acted on)\.$/,
      (m) => number(m[1] ?? m[2]!) === all && taken === all,
    ],
    [
      /^Of two comments, (?:(?:we|I) acted on one and declined|one was acted on and) the other(?: declined)?, with a reason\.$/,
      () => all === 2 && taken === 1 && declined === 1,
    ],
    [
      /^Of (\w+) comments, (?:(?:we|I) acted on (\w+)|(\w+) (?:was|were) acted on)?(?: and )?(?:(?:(?:we|I) )?declined (\w+)|(\w+) (?:was|were) declined)?(?:, with (?:a reason|reasons))?(?:, and (\w+) (?:is|are) still open)?\.$/,
      (m) =>
        number(m[1]!) === all &&
        count(m[2] ?? m[3]) === taken &&
        count(m[4] ?? m[5]) === declined &&
        count(m[6]) === all - taken - declined,
    ],
  ]
}
