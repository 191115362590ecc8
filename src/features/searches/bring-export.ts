import { plural, thousands } from '@/core/base'
import { readRis } from '@/core/records'
import { keepBytes, keepRecords, act, newId, now, useSession } from '@/store/session'
import type { SourceInfo } from '@/store/source-info'

export interface Brought {
  kind: 'success' | 'warning' | 'error'
  words: string
}

/**
 * Brings the export file of a line into the review, in place of what the source brought before, and holds it against the
 * hits that were logged and what the database hands out at most. The file itself is kept with its digest.
 */
export async function bringExport(file: File, info: SourceInfo, lineId: string): Promise<Brought> {
  const { source, profile } = info
  const bytes = new Uint8Array(await file.arrayBuffer())
  const { records, problems } = readRis(new TextDecoder().decode(bytes))
  if (!records.length)
    return { kind: 'error', words: `${file.name}: ${problems[0]?.message ?? 'no record was found.'}` }
  const { review } = useSession.getState().folded
  const run = review.runs.findLast((r) => r.lineId === lineId)
  const digest = await keepRecords(records)
  await act('records.import', {
    id: review.imports.find((i) => i.sourceId === source.id)?.id ?? newId(),
    sourceId: source.id,
    ...(run ? { runId: run.id } : {}),
    digest,
    count: records.length,
    at: now(),
    file: { name: file.name, digest: await keepBytes(bytes) },
  })
  const short = run ? run.hits - records.length : 0
  const most = profile?.caps.exported ?? profile?.caps.shown
  if (short > 0)
    return {
      kind: 'warning',
      words: `${file.name} holds ${plural(records.length, 'record')}, ${thousands(short)} fewer than the ${thousands(run!.hits)} hits logged${most !== undefined && run!.hits > most ? `: ${info.short} hands out at most ${thousands(most)}` : ''}. They are in the review; bring the others in as well.`,
    }
  if (short < 0)
    return {
      kind: 'warning',
      words: `${file.name} holds ${plural(records.length, 'record')}, ${thousands(-short)} more than the hits logged: is it the export of another line?`,
    }
  return {
    kind: 'success',
    words: `${plural(records.length, 'record')} brought in${run ? ', as many as the hits logged' : ''}.`,
  }
}
