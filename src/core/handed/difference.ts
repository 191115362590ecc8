import {
  differenceWords,
  draftAccount,
  lookAt,
  planDifferences,
  type FactContext,
  type SourceFacts,
} from '../account'
import { heldEntries, plural, thousands } from '../base'
import { limitWords } from '../query'
import {
  nameOf,
  nameOfPerson,
  planOf,
  relate,
  sourceName,
  type Relation,
  type Review,
  type Ruling,
} from '../review'
import type { ReadReview } from './read-review'

/** What differs between two packages in one respect, each difference a line. */
export interface Differs {
  about: 'Plan' | 'Terms' | 'Lines' | 'Counts' | 'Works' | 'Rulings' | 'Text'
  lines: string[]
}

export interface Difference {
  relation: Relation
  parts: Differs[]
}

/** A review, with what is known of its sources. */
export interface Compared extends ReadReview {
  source: (sourceId: string) => SourceFacts | undefined
}

/** What differs from the first to the second: plan, terms, lines, counts, works, rulings, text; what is alike is not told. */
export function difference(first: Compared, second: Compared): Difference {
  const parts: Differs[] = [
    { about: 'Plan', lines: planLines(first.review, second.review) },
    { about: 'Terms', lines: termLines(first.review, second.review) },
    { about: 'Lines', lines: strategyLines(first.review, second.review) },
    { about: 'Counts', lines: countLines(first, second) },
    { about: 'Works', lines: workLines(first, second) },
    { about: 'Rulings', lines: rulingLines(first.review, second.review) },
    { about: 'Text', lines: textLines(first, second) },
  ]
  return { relation: relate(first.entries, second.entries), parts: parts.filter((p) => p.lines.length) }
}

/** How the two journals stand to each other, in words. */
export function relationWords(relation: Relation): string {
  switch (relation.is) {
    case 'same':
      return 'Both hold the same journal.'
    case 'first ahead':
      return `The first goes on where the second ends, by ${plural(relation.by, 'entry', 'entries')}.`
    case 'second ahead':
      return `The second goes on where the first ends, by ${plural(relation.by, 'entry', 'entries')}.`
    case 'parted':
      return `They parted after ${plural(relation.after, 'common entry', 'common entries')}: ${plural(relation.first, 'entry', 'entries')} ${relation.first === 1 ? 'is' : 'are'} in the first alone, ${relation.second} in the second.`
    case 'unrelated':
      return 'These are two reviews that have no entry in common.'
  }
}

const planLines = (a: Review, b: Review): string[] =>
  planDifferences(planOf(a, 1), planOf(b, 1)).map(differenceWords)

/** Things of two lists by id: those that are gone, came, or read otherwise. */
function changes<T>(
  [before, after]: [readonly T[], readonly T[]],
  key: (value: T) => string,
  words: (value: T) => string,
): string[] {
  const [was, is] = [before, after].map((list) => new Map(list.map((v) => [key(v), words(v)])))
  return [
    ...[...was!].flatMap(([k, w]) => {
      const now = is!.get(k)
      return now === undefined ? [`gone: ${w}`] : now === w ? [] : [`${w} became ${now}`]
    }),
    ...[...is!].flatMap(([k, w]) => (was!.has(k) ? [] : [`new: ${w}`])),
  ]
}

const termLines = (a: Review, b: Review): string[] => {
  const words = (t: Review['terms'][number]): string =>
    `${t.expression}${t.sourceId === 'all' ? '' : ` (${sourceName(b, t.sourceId)})`}${t.status === 'in use' ? '' : `, ${t.status}`}`
  return changes([a.terms, b.terms], (t) => t.id, words)
}

function strategyLines(a: Review, b: Review): string[] {
  const ids = [...new Set([...Object.keys(a.strategies), ...Object.keys(b.strategies)])]
  return ids.flatMap((id) =>
    changes(
      [a.strategies[id] ?? [], b.strategies[id] ?? []],
      (l) => l.id,
      (l) => [l.described ?? l.text, ...l.limits.map(limitWords)].join(' + '),
    ).map((words) => `${sourceName(b.strategies[id] ? b : a, id)}, ${words}`),
  )
}

function countLines({ review: a, told: x }: ReadReview, { review: b, told: y }: ReadReview): string[] {
  const last = (r: Review, lineId: string): number | undefined =>
    r.runs.findLast((run) => run.lineId === lineId)?.hits
  const runs = [...new Set([...a.runs, ...b.runs].map((r) => r.lineId))].flatMap((lineId) => {
    const [was, is] = [last(a, lineId), last(b, lineId)]
    if (was === is) return []
    const run = b.runs.findLast((r) => r.lineId === lineId) ?? a.runs.findLast((r) => r.lineId === lineId)!
    const count = (n: number | undefined): string => (n === undefined ? 'not run' : thousands(n))
    return [`line ${run.number} in ${sourceName(b, run.sourceId)}: ${count(was)} became ${count(is)}`]
  })
  const [f, g] = [x.figures, y.figures]
  const figure = (words: string, was: number, is: number): string[] =>
    was === is ? [] : [`${words}: ${thousands(was)} became ${thousands(is)}`]
  return [
    ...runs,
    ...figure('records brought in', f.identified, g.identified),
    ...figure('works', x.ruled.works.works.length, y.ruled.works.works.length),
  ]
}

function workLines({ works: a }: ReadReview, { works: b }: ReadReview): string[] {
  const known = (list: typeof a): Set<string> => new Set(list.works.flatMap((w) => w.records))
  const [inA, inB] = [known(a), known(b)]
  const gone = a.works.filter((w) => !w.records.some((r) => inB.has(r)))
  const came = b.works.filter((w) => !w.records.some((r) => inA.has(r)))
  const words = (list: typeof gone, which: string): string[] => [
    ...list
      .slice(0, MOST)
      .map((w) => `${which}: ${w.record.title}${w.record.year ? ` (${w.record.year})` : ''}`),
    ...(list.length > MOST ? [`${which}: ${thousands(list.length - MOST)} more`] : []),
  ]
  return [...words(gone, 'gone'), ...words(came, 'new')]
}
/** Works that are named one by one; the others are counted. */
const MOST = 20

function rulingLines(a: Review, b: Review): string[] {
  const all = (r: Review): Map<string, Ruling> =>
    new Map(
      heldEntries(r.rulings).flatMap(([id, own]) =>
        Object.entries(own).map(([key, ruling]) => [`${id} ${key}`, ruling] as const),
      ),
    )
  const [was, is] = [all(a), all(b)]
  const counts = new Map<string, number>()
  const count = (reader: string, what: string): void => {
    const words = `${nameOf(b, reader) ?? nameOfPerson(a, reader)}, ${what}`
    counts.set(words, (counts.get(words) ?? 0) + 1)
  }
  for (const [key, ruling] of is) {
    const before = was.get(key)
    if (!before) count(ruling.reader, `new: ${ruling.verdict}`)
    else if (before.verdict !== ruling.verdict)
      count(ruling.reader, `${before.verdict} became ${ruling.verdict}`)
  }
  for (const [key, ruling] of was)
    if (!is.has(key)) count(ruling.reader, `not in the second: ${ruling.verdict}`)
  return [...counts]
    .sort(([x], [y]) => (x < y ? -1 : 1))
    .map(([words, n]) => `${words}: ${plural(n, 'work')}`)
}

/** Sentences that only one of the two texts has. */
function textLines(a: Compared, b: Compared): string[] {
  const sentences = ({ review, entries, told, source }: Compared): string[] => {
    const context: FactContext = { review, figures: told.figures, entries, source }
    return lookAt(context, draftAccount(context)).sentences.map((s) => s.text)
  }
  const [was, is] = [sentences(a), sentences(b)]
  return [
    ...was.filter((s) => !is.includes(s)).map((s) => `gone: ${s}`),
    ...is.filter((s) => !was.includes(s)).map((s) => `new: ${s}`),
  ]
}
