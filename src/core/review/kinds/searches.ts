import { Attachment, RoundBegun, Run } from '../values'
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
    undo: 'happened',
    place: (p) => ({ stage: 'searches', sourceId: p.sourceId, anchor: `line:${p.lineId}` }),
    words: said('line run'),
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
