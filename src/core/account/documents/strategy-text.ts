import { thousands } from '../../base'
import type { Profile } from '../../profile'
import { limitWords, type LimitValue } from '../../query'
import { nameOfPerson, type Line, type Review, type Run, type Source } from '../../review'
import type { FactContext } from '../facts'
import { limitsToSend, lineToSend, numbersThere } from '../../strategy'
import { currentRuns } from '../runs'
import { dateWords } from '../words'

/** What stands for the text of a search that was made before the record was kept. */
export const NOT_KNOWN = 'not known: searched before this record was kept'

/**
 * A strategy line by line, in the form that reporting guidelines ask for (PRISMA-S, items 1, 8, 9 and 13; the numbers
 * are quoted from memory): where, through what, when, every line exactly as it was run, its limits and its hits. A line
 * that has not been run as it stands says so. Tabs part the columns, so that it can be put into a table.
 */
export function strategyText(context: FactContext, source: Source): string {
  const { review } = context
  const lines = review.strategies[source.id] ?? []
  const runs = currentRuns(review, source.id)
  const about = context.source(source.id)
  const release = about?.release ?? ''
  const noted = (name: string, value: string | undefined): string[] =>
    value && !release.includes(value) ? [`${name}: ${value}`] : []
  const head = [
    source.name,
    ...noted('Platform', source.platform || about?.profile?.platform),
    ...noted('Coverage', source.coverage || about?.profile?.coverage),
    ...searchedRelease(release, [...runs.values()], about?.releaseWords),
    ...datesOf(review, [...runs.values()]),
  ]
  const profile = about?.profile
  const limits = limitsToSend(lines, !profile || profile.lines !== undefined)
  const there = numbersThere(lines, [...runs.values()])
  // Texts name lines by the numbers that they have there.
  const differ = !!profile?.lines && lines.some((_, i) => there(i + 1) !== i + 1)
  const rows = lines.map((line, i) =>
    rowOf(
      line,
      i + 1,
      runs.get(line.id),
      limits[i]!.map((l) => asSet(l, profile)),
      profile && line.described === undefined
        ? lineToSend(lines, i + 1, profile, review.runs)?.text
        : undefined,
      differ ? there(i + 1) : undefined,
    ),
  )
  return (
    [
      ...head,
      '',
      ['#', ...(differ ? ['There'] : []), 'Search', 'Limits', 'Hits', 'Run on'].join('\t'),
      ...rows,
    ].join('\n') + '\n'
  )
}

/** All strategies that have lines, one after the other. */
export function allStrategiesText(context: FactContext): string {
  const { sources, strategies }: Review = context.review
  return sources
    .filter((s) => (strategies[s.id] ?? []).length)
    .map((s) => strategyText(context, s))
    .join('\n\n')
}

/** The releases that were counted, or how it was reached. */
function searchedRelease(
  planned: string,
  runs: readonly Run[],
  words: ((release: string) => string) | undefined,
): string[] {
  if (!words || !runs.length) return planned ? [`Searched: ${planned}`] : []
  return [`Searched: ${[...new Set(runs.map((r) => r.release))].map(words).join(', ')}`]
}

function datesOf(review: Review, runs: readonly Run[]): string[] {
  const days = [...new Set(runs.map((r) => r.at.slice(0, 10)))].sort()
  const people = [...new Set(runs.map((r) => nameOfPerson(review, r.by)))]
  if (!days.length) return ['Not run yet']
  const when =
    days.length === 1 ? dateWords(days[0]!) : `${dateWords(days[0]!)} to ${dateWords(days[days.length - 1]!)}`
  return [`Run on ${when} by ${people.join(', ')}`]
}

const flat = (text: string): string => text.replace(/\s+/g, ' ').trim()

/** A limit as it is set there: what stands in for it is named. */
function asSet(limit: LimitValue, profile: Profile | undefined): string {
  const by = profile?.limits[limit.kind]?.standIn
  return by ? `${limitWords(limit)} (set as ${by})` : limitWords(limit)
}

/** `toSend`: the line as it would be sent, where it has not been. */
function rowOf(
  line: Line,
  number: number,
  run: Run | undefined,
  limits: readonly string[],
  toSend: string | undefined,
  there: number | undefined,
): string {
  const cells = [
    String(number),
    ...(there === undefined ? [] : [String(there)]),
    run?.how === 'before' && !run.sent
      ? NOT_KNOWN
      : flat(run?.sent ?? line.described ?? (toSend || line.text)),
    [...new Set(limits)].join('; '),
    run ? thousands(run.hits) : 'not run as it stands',
    run ? dateWords(run.at) : '',
  ]
  return cells.join('\t').trimEnd() + (line.note ? `\tNote: ${flat(line.note)}` : '')
}
