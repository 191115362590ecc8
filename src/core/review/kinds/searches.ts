import { Attachment, HeadingNoted, LineCounts, LookedUp, RoundBegun, Run, RunReread } from '../values'
import { atStage, kind, PLAIN, put, removes, said } from './kind'

export const SEARCH_KINDS = {
  'run.log': kind({
    ...PLAIN,
    schema: Run,
    apply: (r, p) => {
      r.runs.push(p)
      // The first run in a stand-in pins its release: a later one is another database until somebody says so.
      const source = r.sources.find((s) => s.id === p.sourceId)
      if (p.how === 'stand-in' && source && source.release === undefined && /^\d{4}-\d{2}$/.test(p.release))
        source.release = p.release
    },
    blobs: ({ evidence }) => [evidence?.request, evidence?.response].filter((d) => d !== undefined),
    undo: 'happened',
    place: (p) => ({ stage: 'searches', sourceId: p.sourceId, anchor: `line:${p.lineId}` }),
    words: said('line run'),
  }),
  'run.reread': kind({
    ...PLAIN,
    schema: RunReread,
    apply: (r, { runId, ...p }) => {
      const run = r.runs.find((one) => one.id === runId)
      if (!run) return
      ;(r.readings ??= {})[runId] = p
      // The reading in force is what the line asked, also where later lines reached it; sent, hits and day stay as they are.
      const was = run.text
      for (const one of r.runs) {
        if (one.sourceId !== run.sourceId) continue
        if (one.lineId === run.lineId && one.text === was) one.text = p.reading
        one.reached = one.reached?.map((l) =>
          l.id === run.lineId && l.text === was ? { ...l, text: p.reading } : l,
        )
      }
    },
    place: () => atStage('searches'),
    words: said('text of a run read anew'),
  }),
  'strategy.counts': kind({
    ...PLAIN,
    schema: LineCounts,
    apply: (r, { sourceId, ...p }) => {
      ;(r.counts ??= {})[sourceId] = p
    },
    place: (p) => ({ stage: 'searches', sourceId: p.sourceId, anchor: `line:${p.lineId}` }),
    words: said('line that counts chosen'),
  }),
  'lookup.log': kind({
    ...PLAIN,
    undo: 'happened',
    schema: LookedUp,
    apply: (r, p) => put((r.lookups ??= []), p),
    place: ({ sourceId }) => ({ stage: 'terms', sourceId }),
    words: said('looked up and not found'),
  }),
  'heading.noted': kind({
    ...PLAIN,
    schema: HeadingNoted,
    apply: (r, p) => put((r.headingsNoted ??= []), p),
    place: ({ sourceId }) => ({ stage: 'terms', sourceId }),
    words: said('heading seen and noted'),
  }),
  'round.begin': kind({
    ...PLAIN,
    schema: RoundBegun,
    apply: (r, p, { seq }) => {
      if (r.rounds.some((round) => round.id === p.id))
        throw new Error('There is a round of this name already.')
      r.rounds.push({ ...p, from: seq })
    },
    place: () => atStage('searches'),
    words: said('round begun'),
  }),
  'attachment.add': kind({
    ...PLAIN,
    schema: Attachment,
    apply: (r, p) => put(r.attachments, p),
    blobs: (p) => [p.digest],
    place: ({ sourceId }) => ({ stage: 'searches', sourceId, anchor: `source:${sourceId}` }),
    words: said('file kept as evidence'),
  }),
  'attachment.remove': removes((r) => r.attachments, atStage('searches'), 'file taken off'),
}
