import type { Store } from '@/store/store'
import { compareRecords, type Compared, type Rec } from '@/core/records'
import { commandOf, type Entry, type Import } from '@/core/review'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'

/** What a source had in the review at one time: one file, or several parts of one export. */
export interface Exported {
  at: string
  count: number
  /** Where its records lie, part by part. */
  parts: Import[]
}

/**
 * What was ever brought in from a source, the oldest first. A file that comes in the place of another begins anew; one
 * that comes beside it is a part of the same export. The same records twice count once.
 */
export function exportsOf(entries: readonly Entry[], sourceId: string): Exported[] {
  const found: (Exported & { ids: Set<string> })[] = []
  const undone = undoneOf(entries)
  for (const entry of entries) {
    if (entry.kind !== 'records.import' || undone.has(entry.seq)) continue
    const read = commandOf(entry)
    if (!read.ok || read.value.kind !== 'records.import' || read.value.payload.sourceId !== sourceId) continue
    const { payload } = read.value
    const { digest, count, at } = payload
    const id = payload.was ?? payload.id
    const last = found[found.length - 1]
    if (last?.parts.some((p) => p.digest === digest)) continue
    if (last && !last.ids.has(id) && !payload.supersedes) {
      last.ids.add(id)
      last.parts.push(payload)
      last.count += count
      last.at = at
    } else found.push({ at, count, parts: [payload], ids: new Set([id]) })
  }
  return found
}

/** The entries that were undone and not done again. */
function undoneOf(entries: readonly Entry[]): Set<number> {
  const undone = new Set<number>()
  for (const { kind, payload } of entries) {
    const { seq } = (payload ?? {}) as { seq?: number }
    if (seq === undefined) continue
    if (kind === 'undo') undone.add(seq)
    if (kind === 'redo') undone.delete(seq)
  }
  return undone
}

async function recordsOf(store: Store, of: readonly Import[]): Promise<Rec[] | undefined> {
  const parts = await Promise.all(of.map((part) => store.recordsOf(part)))
  return parts.every((p) => p !== undefined) ? parts.flat() : undefined
}

/** Two exports against each other; undefined where one is missing, or its records are not here. */
async function compared(
  store: Store,
  before: Exported | undefined,
  after: Exported | undefined,
): Promise<Compared | undefined> {
  if (!before || !after) return undefined
  const [earlier, later] = await Promise.all([recordsOf(store, before.parts), recordsOf(store, after.parts)])
  // Numbers come from the place in the file: they say nothing across two files.
  return earlier && later && compareRecords(earlier, later, { byNumber: false })
}

/** How many records of the export before the last one holds no more; they left the review with it. */
export async function leftWithExport(store: Store, sourceId: string): Promise<number> {
  const [before, after] = exportsOf(store.session.getState().entries, sourceId).slice(-2)
  return (await compared(store, before, after))?.gone.length ?? 0
}

/** The last two exports against each other; undefined while they are read, or where there are not two. */
export function useExportsCompared(exported: readonly Exported[]): Compared | undefined {
  const store = useStore()
  const [before, after] = exported.slice(-2)
  return useAsked(() => compared(store, before, after), [before, after, store]).value
}
