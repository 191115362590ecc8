import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import type { ComeAndGone } from '@/core/records'
import { strategyVersions, type Entry, type Line, type Review, type Run } from '@/core/review'
import { countingLine, occasionsOf, type Occasion } from '@/core/strategy'
import { RELEASES, releaseWords, standinKey } from '@/standins'
import type { SourceInfo } from '@/standins/source-info'
import { searchDesk } from '@/workers'

/** A time at which the last line of a source was run, with the lines as they stood. */
export type RunBefore = Occasion<Line, Run>

/** Every such time, the earliest first; none where the source is searched by hand or was not run. */
export function occasionsIn(
  entries: readonly Entry[],
  review: Pick<Review, 'runs' | 'counts'>,
  sourceId: string,
  lines: readonly Line[],
): RunBefore[] {
  const last = countingLine({ ...review, strategies: { [sourceId]: lines } }, sourceId)
  if (!last) return []
  const versions = strategyVersions(entries, sourceId, lines)
  // What was pasted was found elsewhere, in a state of the database that nobody can open again.
  const runs = review.runs.filter((r) => r.how === 'stand-in')
  return occasionsOf(runs, last.id, versions).filter((o) => o.lines)
}

/** What a run is best held against: the same question in another release, else another release, else the run before. */
export function earlierOf<O extends RunBefore>(older: readonly O[], { run }: O): O | undefined {
  const released = older.filter((o) => o.run.release !== run.release)
  return released.findLast((o) => o.run.key === run.key) ?? released.at(-1) ?? older.at(-1)
}

export const occasionWords = ({ run }: RunBefore): string =>
  [
    dateWords(run.at),
    ...(run.release
      ? [RELEASES.some((r) => r === run.release) ? releaseWords(run.release) : run.release]
      : []),
    plural(run.hits, 'hit'),
  ].join(', ')

/** What came and what went between two times; undefined where there are no two, or none that can be run. */
export function askAgain(
  info: SourceInfo,
  before: RunBefore | undefined,
  after: RunBefore | undefined,
): Promise<ComeAndGone> | undefined {
  const id = info.standin?.id
  if (!id || !before?.lines || !after?.lines) return undefined
  const asked = ({ run, lines }: RunBefore) => ({
    key: standinKey(id, run.release),
    lines: [...(lines ?? [])],
    lineId: run.lineId,
  })
  return searchDesk().again(asked(before), asked(after))
}
