import { limitState } from '../../profile'
import { limitWords } from '../../query'
import type { Source } from '../../review'
import { asTold } from '../as-run'
import { fact, SOURCES_TABLE, text, type Inline } from '../document'
import type { FactContext } from '../facts'
import { joiningLine } from '../runs'
import { limitSteps, searchedIn, strategyUnknown } from '../standing'
import { limitNoun } from '../words'
import type { Block, Cell } from './tree'

/** What could not be done in a source, in words; empty where all could. */
function couldNot({ review, source }: FactContext, s: Source): string[] {
  const profile = source(s.id)?.profile
  if (!profile) return []
  const set = new Set((review.strategies[s.id] ?? []).flatMap((l) => l.limits.map((x) => x.kind)))
  return [...new Set(review.limits.map((l) => l.limit.kind))].flatMap((kind) => {
    const by = profile.limits[kind]?.standIn
    if (limitState(kind, profile) === 'not available' && !set.has(kind))
      return [`no limit by ${limitNoun(kind)}`]
    return by && set.has(kind) ? [`for ${limitNoun(kind)}: ${by}`] : []
  })
}

/** What was left after each limit, in the order in which they were set; where they are set at once, what was left by all. */
function limitCells({ review }: FactContext, id: string): Inline[] {
  const chain = limitSteps(review, id)
  if (!chain?.steps.length) return [fact(`hits.final:${id}`)]
  return chain.steps.flatMap((line, n) => [
    text(`${n ? '; ' : ''}${line.limits.map(limitWords).join(' and ')}: `),
    fact(`hits.line:${id}/${line.id}`),
  ])
}

/** What was noted of a source, or stands in its description. */
const known = ({ source }: FactContext, s: Source, what: 'platform' | 'coverage'): string | undefined =>
  s[what] || source(s.id)?.profile?.[what]

/** The row of a source in Table 1: where, what it covers, when, what was found, and what could not be done there. */
export function rowOf(told: FactContext, s: Source): Cell[] {
  const context = asTold(told)
  const { review, figures } = context
  const reached = [
    fact(`source.name:${s.id}`),
    ...(known(context, s, 'platform') ? [text(', through '), fact(`source.platform:${s.id}`)] : []),
  ]
  const joined = joiningLine(review.strategies[s.id] ?? [])
  return [
    reached,
    known(context, s, 'coverage') ? [fact(`source.coverage:${s.id}`)] : [text('not noted')],
    [fact(`source.days:${s.id}`)],
    joined && !joined.limits.length && !strategyUnknown(review, s.id)
      ? [fact(`hits.joined:${s.id}`)]
      : [text(strategyUnknown(review, s.id) ? 'not known' : '–')],
    limitCells(context, s.id),
    s.id in figures.brought ? [fact(`records.from:${s.id}`)] : [text('–')],
    s.id in figures.brought ? [fact(`works.once.from:${s.id}`)] : [text('–')],
  ]
}

export const TABLE_1_HEAD = [
  'Database',
  'Coverage',
  'Searched',
  'Concepts joined',
  'After limits',
  'Brought in',
  'Found nowhere else',
]

/** Table 1: databases, dates and counts; undefined where nothing was searched. Note marks say what could not be done. */
export function table1(told: FactContext): (Block & { kind: 'table' }) | undefined {
  const context = asTold(told)
  const sources = searchedIn(context.review)
  if (!sources.length) return undefined
  const notes: Cell[] = []
  const rows = sources.map((s) => {
    const [name, ...rest] = rowOf(context, s)
    const could = couldNot(context, s)
    if (!could.length) return [name!, ...rest]
    const mark = String.fromCharCode('a'.charCodeAt(0) + notes.length)
    notes.push([text(`${mark} `, 'italic'), text(`${could.join('; ')}.`)])
    return [[...name!, text(` ${mark}`, 'italic')], ...rest]
  })
  // A column in which nobody noted anything is left out; and where all works came by one way, none was found elsewhere.
  const keeps = (column: number): boolean =>
    column === 1
      ? sources.some((s) => known(context, s, 'coverage'))
      : column !== 6 || Object.keys(context.figures.brought).length > 1
  return {
    kind: 'table',
    id: SOURCES_TABLE,
    caption: [text('Databases, dates and counts')],
    head: TABLE_1_HEAD.filter((_, n) => keeps(n)),
    rows: rows.map((r) => r.filter((_, n) => keeps(n))),
    ...(notes.length ? { notes } : {}),
    wide: true,
  }
}
