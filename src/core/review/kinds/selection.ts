import { z } from 'zod'
import { PassName, PersonId, RecordId, Ruling } from '../values'
import { atStage, kind, PLAIN, said } from './kind'

export const SELECTION_KINDS = {
  'ruling.set': kind({
    ...PLAIN,
    schema: Ruling,
    apply: (r, p) => {
      const key = `${p.pass}/${p.reader}`
      // What this one replaces no longer replaces it.
      for (const id of p.replaces ?? []) {
        const earlier = r.rulings[id]?.[key]
        if (earlier?.replaces?.includes(p.recordId))
          earlier.replaces = earlier.replaces.filter((other) => other !== p.recordId)
      }
      ;(r.rulings[p.recordId] ??= {})[key] = p
    },
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('work ruled'),
    bearsPerson: true,
  }),
  'ruling.remove': kind({
    ...PLAIN,
    schema: z.object({
      recordId: RecordId,
      pass: PassName,
      reader: PersonId,
      /** The work's other records on which this reader ruled in this pass. */
      also: z.array(RecordId).optional(),
    }),
    apply: (r, p) => {
      for (const id of [p.recordId, ...(p.also ?? [])]) {
        const own = r.rulings[id]
        if (own) delete own[`${p.pass}/${p.reader}`]
      }
    },
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('ruling taken back'),
    bearsPerson: true,
  }),
}
