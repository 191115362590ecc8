import { plural, thousands } from '../core/base'
import { comeAndGone, type ComeAndGone, type Rec } from '../core/records'
import { standingRuns, type Review } from '../core/review'
import { countingLine, runStrategy } from '../core/strategy'
import { standin } from '../standins'
import type { Outcome } from './command'
import { going } from './progress'
import { loadStandin } from './standins'

interface SourceAgain {
  source: string
  /** The release that it was last run in, and the one that it is run in now. */
  from: string
  to: string
  found: ComeAndGone
}

/** Records that are named one by one; the others are counted. */
const NAMED = 10

/** Every strategy of a stand-in that was run, in another release: what its last line finds there, what is new, what is gone. */
export function runAgain(review: Review, release: string, json: boolean): Outcome {
  const all: SourceAgain[] = []
  const errors: string[] = []
  for (const source of review.sources) {
    const info = standin(source.profileId)
    const lines = review.strategies[source.id] ?? []
    const last = countingLine(review, source.id)
    const run = last && standingRuns(review.runs).findLast((r) => r.sourceId === source.id)
    if (!info || !last || !run) continue
    going.say(`${source.name}: ${run.release} and ${release}`)
    const occasion = (of: string): { held: readonly Rec[]; found: Rec[] } | undefined => {
      const opened = loadStandin(info.id, of)
      const docs = runStrategy(opened, lines).find((r) => r.id === last.id)?.docs
      return docs && { held: opened.records, found: Array.from(docs, (d) => opened.records[d]!) }
    }
    const [before, after] = [occasion(run.release), occasion(release)]
    if (!before || !after) errors.push(`error: the last line in ${source.name} does not run.`)
    else all.push({ source: source.name, from: run.release, to: release, found: comeAndGone(before, after) })
  }
  if (!all.length) errors.push('error: there is no strategy of a stand-in that was run.')
  return { exit: errors.length ? 1 : 0, output: json ? asJson(all) : all.map(asText).join('\n\n'), errors }
}

const asJson = (all: readonly SourceAgain[]): string =>
  JSON.stringify(
    all.map(({ found, ...rest }) => ({
      ...rest,
      ...found,
      ...Object.fromEntries(
        (['added', 'foundNow', 'withdrawn', 'lostNow'] as const).map((k) => [k, found[k].map((r) => r.id)]),
      ),
    })),
  )

function asText({ source, from, to, found }: SourceAgain): string {
  const part = (words: string, records: readonly Rec[]): string[] =>
    records.length
      ? [
          `  ${words}: ${plural(records.length, 'record')}`,
          ...records.slice(0, NAMED).map((r) => `    ${r.title}${r.year ? ` (${r.year})` : ''}`),
          ...(records.length > NAMED ? [`    and ${thousands(records.length - NAMED)} more`] : []),
        ]
      : []
  return [
    `${source}: ${thousands(found.before)} in ${from}, ${thousands(found.after)} in ${to}, ${thousands(found.both)} in both`,
    ...part('new in the database', found.added),
    ...part('there before, found only now', found.foundNow),
    ...part('gone from the database', found.withdrawn),
    ...part('still there, found no more', found.lostNow),
  ].join('\n')
}
