/** The slow checker of what is said of a review of the searches: it reads the journal's deeds only. */
import { stateOf, type CheckedEntry, type Patterns } from './journal-state.fixture'
import { DAY, isDay } from './protocol-checker.fixture'

/** Patterns of sentences about who looked the searches over, each with what makes it true. */
export function searchReviewPatterns(
  entries: readonly CheckedEntry[],
  number: (words: string) => number,
): Patterns {
  const gone = new Set(
    entries.flatMap((e) => (e.kind === 'undo' ? [(e.payload as { seq: number }).seq] : [])),
  )
  const live = entries.filter((e) => !gone.has(e.seq))
  const of = <T>(kind: string): (T & { said: string })[] =>
    live.flatMap((e) => (e.kind === kind ? [{ said: e.at, ...(e.payload as T) }] : []))
  const looks = of<{ as: string; at: string; of?: { sourceId: string }[]; verdict?: string }>(
    'searchreview.finish',
  )
  const finished = looks.at(-1)
  /** What was asked for: of each element its last answer, where something was to be changed, and each comment. */
  const asked = [
    ...new Map(
      of<{ element: string; verdict: string }>('searchreview.answer').map((a) => [a.element, a]),
    ).values(),
  ]
    .filter((a) => a.verdict !== 'none')
    .map((a) => `${a.element} of ${a.said}`)
  const comments = live.flatMap((e) =>
    e.kind === 'searchreview.comment' ? [`${(e.payload as { id: string }).id} of ${e.at}`] : [],
  )
  const points = [...asked, ...comments]
  const all = points.length
  const word = new Map<string, string>(
    live.flatMap((e) => {
      const p = e.payload as { id: string; said: string; as: string }
      return e.kind === 'searchreview.settle' ? [[`${p.id} of ${p.said}`, p.as] as const] : []
    }),
  )
  const as = (what: string): number => points.filter((p) => word.get(p) === what).length
  const [taken, declined] = [as('taken'), as('declined')]
  const { runs } = stateOf(entries)
  /** Where a look stands among the searches of the databases that were looked at. */
  const whenIs = (look: (typeof looks)[number]): string => {
    const mine = runs.filter((r) => !look.of || look.of.some((o) => o.sourceId === r.sourceId))
    const later = mine.filter((r) => Date.parse(r.at) >= Date.parse(look.at)).length
    const earlier = mine.filter((r) => Date.parse(r.at) <= Date.parse(look.at)).length
    if (!mine.length) return ''
    if (later === mine.length) return ', before the first search'
    return earlier === mine.length ? ', after the searches' : ', after the first search and before the last'
  }
  const who = 'Hedda Marrow(?: \\((.*?)\\))?'
  const by = 'by the guideline for Peer Review of Electronic Search Strategies \\(PRESS; Appendix I\\)'
  const end =
    '(?:, and (found nothing to revise|found nothing left to revise|suggested revisions|asked for revisions))?\\.$'
  const what = 'the strategies(?: of (\\w+) of (\\w+) databases)?'
  const when =
    '(, before the first search|, after the searches|, after the first search and before the last)?'
  const days = (n: string): string => `[oO]n ${DAY}${when}(?:, and again on ${DAY}${when})?${n}`
  /** Who, of which strategies, when, with what verdict: groups in the order of `told` below. */
  const told = (
    role: string | undefined,
    [looked, searched]: (string | undefined)[],
    at: number,
    m: RegExpExecArray,
    verdict: string | undefined,
  ): boolean => {
    if (!finished || !runs.length) return false
    const again = looks.length > 1
    const [firstDay, firstWhen, lastDay, lastWhen] = [at, at + 3, at + 4, at + 7]
    const dated = again
      ? isDay(m, firstDay, looks[0]!.at) &&
        (m[firstWhen] ?? '') === whenIs(looks[0]!) &&
        m[lastDay] !== undefined &&
        isDay(m, lastDay, finished.at) &&
        (m[lastWhen] ?? '') === whenIs(finished)
      : m[lastDay] === undefined &&
        isDay(m, firstDay, finished.at) &&
        (m[firstWhen] ?? '') === whenIs(finished)
    const databases = new Set(runs.map((r) => r.sourceId))
    const seen = new Set(finished.of?.map((o) => o.sourceId))
    const partly = finished.of !== undefined && [...databases].some((id) => !seen.has(id))
    const said: Record<string, string> = {
      'no revisions': again ? 'found nothing left to revise' : 'found nothing to revise',
      'revisions suggested': 'suggested revisions',
      'revisions required': 'asked for revisions',
    }
    return (
      (role ?? '') === finished.as &&
      dated &&
      (partly
        ? looked !== undefined && number(looked) === seen.size && number(searched!) === databases.size
        : looked === undefined) &&
      verdict === (finished.verdict === undefined ? undefined : said[finished.verdict])
    )
  }
  const count = (words: string | undefined): number => (words === undefined ? 0 : number(words))
  return [
    [
      new RegExp(`^${who} reviewed ${what} ${days('')}, ${by}${end}`),
      (m) => told(m[1], [m[2], m[3]], 4, m, m[12]),
    ],
    [
      new RegExp(`^${days('')}, ${who} reviewed ${what} ${by}${end}`),
      (m) => told(m[9], [m[10], m[11]], 1, m, m[12]),
    ],
    [/^(?:[Ww]e|I) acted on the one point made\.$/, () => all === 1 && taken === 1],
    [/^The one point made was acted on\.$/, () => all === 1 && taken === 1],
    [
      /^(?:(?:We|I) declined the one point made|The one point made was declined), with a reason\.$/,
      () => all === 1 && declined === 1,
    ],
    [/^The one point made is still open\.$/, () => all === 1 && taken + declined === 0],
    [/^All (\w+) points are still open\.$/, (m) => number(m[1]!) === all && taken + declined === 0],
    [
      /^(?:(?:We|I) acted on all (\w+) points|All (\w+) points were acted on)\.$/,
      (m) => number(m[1] ?? m[2]!) === all && taken === all,
    ],
    [
      /^Of two points, (?:(?:we|I) acted on one and declined|one was acted on and) the other(?: declined)?, with a reason\.$/,
      () => all === 2 && taken === 1 && declined === 1,
    ],
    [
      /^Of (\w+) points, (?:(?:we|I) acted on (\w+)|(\w+) (?:was|were) acted on)?(?: and )?(?:(?:(?:we|I) )?declined (\w+)|(\w+) (?:was|were) declined)?(?:, with (?:a reason|reasons))?(?:, and (\w+) (?:is|are) still open)?\.$/,
      (m) =>
        number(m[1]!) === all &&
        count(m[2] ?? m[3]) === taken &&
        count(m[4] ?? m[5]) === declined &&
        count(m[6]) === all - taken - declined,
    ],
  ]
}
