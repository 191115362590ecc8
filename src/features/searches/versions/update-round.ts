import type { ComeAndGone, Rec } from '@/core/records'
import { standingImports, type Command, type Review, type Run, type Source } from '@/core/review'
import { releaseWords } from '@/standins'
import type { Store } from '@/store/store'
import type { Brought } from '@/core/doing'
import { bringIn } from '../../shared/tell-apart'

/** What a later search of a source found anew. */
export interface FoundAnew {
  source: Source
  run: Run
  records: readonly Rec[]
}

/** What of a search can come into an update; nothing where it is there already, or the source brought nothing before. */
export function foundAnew(
  review: Review,
  source: Source,
  run: Run,
  found: ComeAndGone,
): FoundAnew | undefined {
  const own = standingImports(review).filter((i) => i.sourceId === source.id)
  const brought = own.some((i) => {
    const from = review.runs.find((r) => r.id === i.runId)
    return from !== undefined && from.key === run.key && from.release === run.release
  })
  const records = [...found.added, ...found.foundNow]
  return records.length && own.length && !brought ? { source, run, records } : undefined
}

/** The update into which these sources can still bring something; where one of them has, another begins. */
export function openUpdate(review: Review, sourceIds: readonly string[]): { id: string } | undefined {
  const last = review.rounds.at(-1)
  return last?.kind === 'update' &&
    !standingImports(review).some((i) => sourceIds.includes(i.sourceId) && i.roundId === last.id)
    ? last
    : undefined
}

/**
 * Brings what was found anew into an update: a round of its own, so that what was brought before and what was ruled stay as
 * they are, and the flow tells both. Gives how many records came.
 */
export async function bringIntoUpdate(store: Store, all: readonly FoundAnew[]): Promise<number> {
  const { lay, newId, session } = store
  const { review } = session.getState().folded
  const releases = [...new Set(all.map(({ run }) => run.release))]
  const going = openUpdate(
    review,
    all.map(({ source }) => source.id),
  )
  const begin: Command = {
    kind: 'round.begin',
    payload: {
      id: newId(),
      kind: 'update',
      why:
        releases.length === 1 && releases[0]
          ? `searched again in the ${releaseWords(releases[0])}`
          : 'searched again',
    },
  }
  await lay(async (laying) => {
    const brought: Brought[] = []
    for (const { source, run, records } of all)
      brought.push({
        sourceId: source.id,
        at: await laying.keepRecords(records),
        count: records.length,
        runId: run.id,
      })
    await bringIn(store, laying, brought, undefined, { before: going ? [] : [begin] })
  })
  return all.reduce((n, { records }) => n + records.length, 0)
}
