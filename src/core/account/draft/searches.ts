import { listed } from '../../base'
import { limitWords, type LimitValue } from '../../query'
import { verbatim } from '../document'
import type { ClaimOf } from '../claims'
import { concept, database, type Say } from './say'

/** "each concept" where all that were asked for have it, else their names. */
function forWhich(ids: readonly string[], asked: readonly string[]): string {
  if (!ids.length) return ''
  return ids.length === asked.length && ids.length > 1
    ? ' for each concept'
    : ` for ${listed(ids.map(concept))}`
}

const BELOW = {
  all: ' with their narrower ones',
  some: ', some of them with narrower ones,',
  none: '',
}

/** How each database was searched, as far as it was run as it stands. */
export const SEARCHES = {
  SearchedWith: (c: ClaimOf<'SearchedWith'>, say: Say) => {
    const source = database(c.sourceId)
    const below = BELOW[c.narrower ?? 'none']
    const how = listed([
      ...(c.headings ? [`headings of its thesaurus${below}${forWhich(c.headingConcepts, c.asked)}`] : []),
      ...(c.codes ? ['codes of its classification'] : []),
      ...(c.words ? [`words in {words.fields:${c.sourceId}}${forWhich(c.wordConcepts, c.asked)}`] : []),
    ])
    const first = how
      ? say(`In ${source} we searched with ${how}.`, `${source} was searched with ${how}.`)
      : say(`We searched ${source}.`, `${source} was searched.`)
    return c.nearnessLost ? `${first} ${source} knows no nearness; AND stood in its place there.` : first
  },
  Joined: ({ sourceId, join, counted }: ClaimOf<'Joined'>, say: Say) => {
    const gave = counted ? `, which gave {hits.joined:${sourceId}} records` : ''
    if (join.kind === 'other')
      return say(
        `We joined the lines as {join.text:${sourceId}}${gave}.`,
        `The lines were joined as {join.text:${sourceId}}${gave}.`,
      )
    const groups = join.groups.map((g) =>
      g.length > 1 ? `(${listed(g.map(concept), 'or')})` : concept(g[0]!),
    )
    return join.orWithin
      ? `Lines for one concept were joined with OR, and the concepts ${listed(groups)} with AND${gave}.`
      : `The concepts ${listed(groups)} were joined with AND${gave}.`
  },
  LeftOut: ({ sourceId }: ClaimOf<'LeftOut'>, say: Say) =>
    say(
      `With NOT we left out records that match {words.leftOut:${sourceId}}.`,
      `Records that match {words.leftOut:${sourceId}} were left out with NOT.`,
    ),
  LimitsLeft: ({ sourceId, steps }: ClaimOf<'LimitsLeft'>) => {
    const [first, ...rest] = steps.map(
      (s) => `${s.limits.map(limitWords).join(' and ')} left {hits.line:${sourceId}/${s.lineId}}`,
    )
    return `Limiting to ${[first, ...rest.map((r) => `then to ${r}`)].join('; ')}.`
  },
  LimitsHold: ({ sourceId }: ClaimOf<'LimitsHold'>) =>
    `What counts there is limited to {limits.force:${sourceId}}; it is {hits.final:${sourceId}} records.`,
  Counted: ({ sourceId }: ClaimOf<'Counted'>) => `What counts there is {hits.final:${sourceId}} records.`,
  StoodIn: ({ kind, by }: ClaimOf<'StoodIn'>) =>
    `There, ${/^(?:an?|the) /i.test(by) ? '' : 'the '}${verbatim(by)} stood in for the limit to ${limitName(kind)} work.`,
  WithoutQuery: ({ sourceId, lineId, deed }: ClaimOf<'WithoutQuery'>, say: Say) => {
    const done = verbatim(deed.replace(/\.$/, ''))
    return say(
      `Without a query we ${done}; this gave {hits.line:${sourceId}/${lineId}}.`,
      `Without a query, this was done: ${done}; it gave {hits.line:${sourceId}/${lineId}}.`,
    )
  },
  LimitNotAvailable: ({ sourceId, kinds }: ClaimOf<'LimitNotAvailable'>) =>
    `${database(sourceId)} offers no limit by ${listed(kinds.map(limitNoun), 'or')}.`,
}

/** A kind of limit as a word before "work". */
const limitName = (kind: LimitValue['kind']): string => (kind === 'peer reviewed' ? 'peer-reviewed' : kind)
/** The same as a thing. */
const limitNoun = (kind: LimitValue['kind']): string => (kind === 'peer reviewed' ? 'peer review' : kind)
