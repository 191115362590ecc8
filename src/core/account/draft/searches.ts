import { listed } from '../../base'
import { limitState } from '../../profile'
import { limitWords, type LimitValue } from '../../query'
import type { Line, Review, Source } from '../../review'
import { finalLine, limitsThatCount } from '../../strategy'
import { verbatim } from '../document'
import { currentRuns, joiningLine } from '../runs'
import type { FactContext } from '../facts'
import { joinOf, type Join } from '../joins'
import { conceptsWith, finalRun, limitSteps, narrowerTaken, runWith } from '../standing'
import { concept, named, type Say } from './say'

/** How each database was searched, as far as it was run as it stands. */
export function searches(context: FactContext, say: Say): string[] {
  const { review } = context
  return review.sources.flatMap((s) => {
    const lines = review.strategies[s.id] ?? []
    if (s.kind !== 'database' || !lines.length || !currentRuns(review, s.id).size) return []
    return [
      [
        ...searchedWith(context, s, say),
        ...joined(context, s, say),
        ...leftOut(context, s, say),
        ...limits(context, s),
        ...described(review, s, say),
        ...missing(context, s),
      ].join(' '),
    ]
  })
}

/** "each concept" where all that were asked for have it, else their names. */
function forWhich(ids: readonly string[], asked: readonly string[]): string {
  if (!ids.length) return ''
  return ids.length === asked.length && ids.length > 1
    ? ' for each concept'
    : ` for ${listed(ids.map(concept))}`
}

function searchedWith(context: FactContext, s: Source, say: Say): string[] {
  const asked = runWith(context, s.id)
  const of = conceptsWith(context.review, s.id)
  const narrower = narrowerTaken(context.review, s.id)
  const below =
    narrower === 'all'
      ? ' with their narrower ones'
      : narrower === 'some'
        ? ', some of them with narrower ones,'
        : ''
  const how = listed([
    ...(asked.headings ? [`headings of its thesaurus${below}${forWhich(of.headings, of.asked)}`] : []),
    ...(asked.codes ? ['codes of its classification'] : []),
    ...(asked.fields.length ? [`words in {words.fields:${s.id}}${forWhich(of.words, of.asked)}`] : []),
  ])
  const sentences = how
    ? [say(`In ${named(s)} we searched with ${how}.`, `${named(s)} was searched with ${how}.`)]
    : [say(`We searched ${named(s)}.`, `${named(s)} was searched.`)]
  if (asked.nearnessLost) sentences.push(`${named(s)} knows no nearness; AND stood in its place there.`)
  return sentences
}

/** How the lines were joined, read from what they say; and what that gave, where it was run. */
function joined({ review }: FactContext, s: Source, say: Say): string[] {
  const lines = review.strategies[s.id] ?? []
  const join = joinOf(
    lines,
    review.concepts.map((k) => k.id),
  )
  const joining = joiningLine(lines)
  // What was set and not run is no deed.
  if (!join || !joining || !currentRuns(review, s.id).has(joining.id)) return []
  const gave = joining.limits.length ? '' : `, which gave {hits.joined:${s.id}} records`
  return [`${joinWords(join, s, say)}${gave}.`]
}

function joinWords(join: NonNullable<Join>, s: Source, say: Say): string {
  if (join.kind === 'other')
    return say(`We joined the lines as {join.text:${s.id}}`, `The lines were joined as {join.text:${s.id}}`)
  const groups = join.groups.map((g) => (g.length > 1 ? `(${listed(g.map(concept), 'or')})` : concept(g[0]!)))
  return join.orWithin
    ? `Lines for one concept were joined with OR, and the concepts ${listed(groups)} with AND`
    : `The concepts ${listed(groups)} were joined with AND`
}

function leftOut(context: FactContext, s: Source, say: Say): string[] {
  return runWith(context, s.id).leftOut.length
    ? [
        say(
          `With NOT we left out records that match {words.leftOut:${s.id}}.`,
          `Records that match {words.leftOut:${s.id}} were left out with NOT.`,
        ),
      ]
    : []
}

const words = (line: Line): string => line.limits.map(limitWords).join(' and ')

/** What each limit left, in order, where they were set one after the other; else which hold for what was found. */
function limits(context: FactContext, s: Source): string[] {
  const { review } = context
  const lines = review.strategies[s.id] ?? []
  const final = finalLine(lines)
  const force = limitsThatCount(lines)
  const chain = limitSteps(review, s.id)
  const sentences: string[] = []
  if (chain?.steps.length) {
    const [first, ...rest] = chain.steps.map((l) => `${words(l)} left {hits.line:${s.id}/${l.id}}`)
    sentences.push(`Limiting to ${[first, ...rest.map((r) => `then to ${r}`)].join('; ')}.`)
  } else if (finalRun(review, s.id) && force.length)
    sentences.push(
      `What counts there is limited to {limits.force:${s.id}}; it is {hits.final:${s.id}} records.`,
    )
  else if (finalRun(review, s.id) && final !== joiningLine(lines))
    sentences.push(`What counts there is {hits.final:${s.id}} records.`)
  return [...sentences, ...(finalRun(review, s.id) ? stoodIn(context, s, force) : [])]
}

/** What stood in for a limit that holds, by its name. */
function stoodIn({ source }: FactContext, s: Source, force: readonly LimitValue[]): string[] {
  const profile = source(s.id)?.profile
  const kinds = [...new Set(force.map((l) => l.kind))]
  return kinds.flatMap((kind) => {
    const by = profile?.limits[kind]?.standIn
    return by
      ? [
          `There, ${/^(?:an?|the) /i.test(by) ? '' : 'the '}${verbatim(by)} stood in for the limit to ${limitName(kind)} work.`,
        ]
      : []
  })
}

/** A search without text: what was done stands as it was noted, beginning with a verb. */
function described(review: Review, s: Source, say: Say): string[] {
  const runs = currentRuns(review, s.id)
  return (review.strategies[s.id] ?? []).flatMap((l) => {
    if (!l.described || !runs.has(l.id)) return []
    const deed = verbatim(l.described.replace(/\.$/, ''))
    return [
      say(
        `Without a query we ${deed}; this gave {hits.line:${s.id}/${l.id}}.`,
        `Without a query, this was done: ${deed}; it gave {hits.line:${s.id}/${l.id}}.`,
      ),
    ]
  })
}

/** Planned limits that the database does not have, by its description; one that a line sets all the same is not named. */
function missing({ review, source }: FactContext, s: Source): string[] {
  const profile = source(s.id)?.profile
  const set = new Set((review.strategies[s.id] ?? []).flatMap((l) => l.limits.map((x) => x.kind)))
  const kinds = [...new Set(review.limits.map((l) => l.limit.kind))].filter(
    (k) => profile && limitState(k, profile) === 'not available' && !set.has(k),
  )
  return kinds.length ? [`${named(s)} offers no limit by ${listed(kinds.map(limitNoun), 'or')}.`] : []
}

/** A kind of limit as a word before "work". */
const limitName = (kind: LimitValue['kind']): string => (kind === 'peer reviewed' ? 'peer-reviewed' : kind)
/** The same as a thing. */
const limitNoun = (kind: LimitValue['kind']): string => (kind === 'peer reviewed' ? 'peer review' : kind)
