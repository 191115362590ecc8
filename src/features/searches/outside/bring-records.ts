import type { Store } from '@/store/store'
import { plural, thousands } from '@/core/base'
import type { Brought, ToBring } from '@/core/doing'
import type { Rec } from '@/core/records'
import type { Import, Line, Source } from '@/core/review'
import type { Laying } from '@/store/blobs'

import { sourceInfo, type SourceInfo } from '@/standins/source-info'
import { searchDesk } from '@/workers'
import { partsOf, type Place } from '../../shared/bring-file/bring-file'
import { bringIn } from '../../shared/tell-apart'

/** Puts records of a source into the present round, in the place of what it brought before, or beside that. */
export async function put(
  store: Store,
  laying: Laying,
  source: Source,
  records: readonly Rec[],
  place: Place,
  about: Pick<Import, 'runId' | 'file'>,
  because: string,
): Promise<void> {
  await bringIn(store, laying, [
    {
      sourceId: source.id,
      at: await laying.keepRecords(records),
      count: records.length,
      ...about,
      ...(place === 'in place' ? { insteadBecause: because } : {}),
    },
  ])
}

/** The run of a line that its records belong to. */
export const runOf = (store: Store, lineId: string) =>
  store.session.getState().folded.review.runs.findLast((r) => r.lineId === lineId)

/** Brings the records of a line of a stand-in into the review; gives how many came of how many. */
export async function bringRecords(
  store: Store,
  source: Source,
  line: Line,
  place: Place,
): Promise<{ count: number; hits: number }> {
  const { review } = store.session.getState().folded
  const { searched } = sourceInfo(review, source)
  if (!searched) return { count: 0, hits: 0 }
  const { records, hits } = await searchDesk().records(searched, review.strategies[source.id] ?? [], line.id)
  const run = runOf(store, line.id)
  await store.lay((laying) =>
    put(
      store,
      laying,
      source,
      records,
      place,
      run ? { runId: run.id } : {},
      'brought in anew from the database',
    ),
  )
  return { count: records.length, hits }
}

/**
 * Brings the records of several searches of stand-ins in as one deed; gives how many came, of how many that were found.
 * `told` hears which source is read, and stops it by answering no: then nothing is in.
 */
export async function bringSearches(
  store: Store,
  searches: readonly ToBring[],
  told: (source: Source, nth: number) => boolean,
): Promise<{ count: number; hits: number } | undefined> {
  const { review } = store.session.getState().folded
  const found = { count: 0, hits: 0 }
  return store.lay(async (laying) => {
    const brought: Brought[] = []
    for (const [n, { source, line, run }] of searches.entries()) {
      const { searched } = sourceInfo(review, source)
      if (!told(source, n + 1)) return undefined
      if (!searched) continue
      const { records, hits } = await searchDesk().records(
        searched,
        review.strategies[source.id] ?? [],
        line.id,
      )
      found.count += records.length
      found.hits += hits
      const at = await laying.keepRecords(records)
      brought.push({ sourceId: source.id, at, count: records.length, runId: run.id })
    }
    return (await bringIn(store, laying, brought)) ? found : undefined
  })
}

/** How what a file brought compares with what was logged, in words. */
export interface Held {
  kind: 'success' | 'warning'
  words: string
}

/**
 * Holds what a file brought, with the parts that were brought before where it came beside them, against the hits that were
 * logged and what the database hands out at most.
 */
export function holdExport(store: Store, name: string, info: SourceInfo, lineId: string): Held {
  const { source, profile } = info
  const run = runOf(store, lineId)
  const parts = partsOf(store, source.id)
  const count = parts.reduce((n, i) => n + i.count, 0)
  const held =
    parts.length > 1
      ? `The ${parts.length} parts together hold ${plural(count, 'record')}`
      : `${name} holds ${plural(count, 'record')}`
  const short = run ? run.hits - count : 0
  const most = profile?.caps.exported ?? profile?.caps.shown
  if (short > 0)
    return {
      kind: 'warning',
      words: `${held}, ${thousands(short)} fewer than the ${thousands(run!.hits)} hits logged${most !== undefined && run!.hits > most ? `: ${info.short} hands out at most ${thousands(most)}` : ''}. They are in the review; export the others there in parts, by years say, and add them.`,
    }
  if (short < 0)
    return {
      kind: 'warning',
      words: `${held}, ${thousands(-short)} more than the hits logged: is one the export of another line?`,
    }
  return { kind: 'success', words: `${held}${run ? ', as many as the hits logged' : ''}.` }
}
