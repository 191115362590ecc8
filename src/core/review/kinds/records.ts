import { z } from 'zod'
import { Id } from '../../base'
import { digestsOf } from '../../records'
import { Digest, Import, ImportId, RecordId, type Review } from '../values'
import { isStanding } from '../imports'
import { atStage, kind, PLAIN, said } from './kind'

const Pair = z
  .object({ a: RecordId, b: RecordId, why: z.string().max(2000).optional() })
  .refine((p) => p.a !== p.b, { message: 'A record is no pair with itself.' })

/** Notes what a person said of two records; the last word on a pair counts. */
const decide =
  (same: boolean) =>
  (r: Review, { a, b, why }: z.infer<typeof Pair>): void => {
    const [first, second] = a < b ? [a, b] : [b, a]
    r.decisions = r.decisions.filter((d) => d.a !== first || d.b !== second)
    r.decisions.push({ a: first, b: second, same, ...(why === undefined ? {} : { why }) })
  }

export const RECORD_KINDS = {
  'records.import': kind({
    ...PLAIN,
    schema: Import,
    apply: (r, p) => {
      if (r.imports.some((i) => i.id === p.id)) throw new Error('There is an import of this name already.')
      // In the first form a later import under the name of an earlier one stood in its place, without a reason.
      const same = p.was === undefined ? [] : r.imports.filter((i) => i.was === p.was && isStanding(r, i))
      const ids = [...(p.supersedes?.ids ?? []), ...same.map((i) => i.id)]
      const brought = ids.length ? { ...p, supersedes: { ...p.supersedes, ids } } : p
      const after = r.imports.findLastIndex((i) => ids.includes(i.id))
      // It stands where what it supersedes stood: the order of works is that of their first records.
      r.imports.splice(after < 0 ? r.imports.length : after + 1, 0, brought)
    },
    blobs: (p) => [...digestsOf(p), ...(p.file ? [p.file.digest] : [])],
    place: () => atStage('records'),
    words: said('records brought in'),
  }),
  'record.mend': kind({
    ...PLAIN,
    schema: Import.pick({ digest: true, abstracts: true, unread: true, fullTexts: true }).extend({
      importId: ImportId,
      position: z.int().min(1),
    }),
    apply: (r, { importId, ...part }) => {
      const at = r.imports.findIndex((i) => i.id === importId)
      const of = r.imports[at]
      if (!of?.broken?.some((b) => b.position === part.position)) return
      r.imports[at] = {
        ...of,
        count: of.count + 1,
        broken: of.broken.filter((b) => b.position !== part.position),
        mended: [...(of.mended ?? []), part],
      }
    },
    blobs: ({ importId: _i, position: _p, ...part }) => digestsOf(part),
    place: () => atStage('records'),
    words: said('record mended'),
  }),
  'import.remove': kind({
    ...PLAIN,
    schema: z.object({ id: Id }),
    apply: (r, p) => {
      for (const i of r.imports) if ((i.id === p.id || i.was === p.id) && isStanding(r, i)) i.takenOut = true
    },
    place: () => atStage('records'),
    words: said('records taken out'),
  }),
  'partition.set': kind({
    ...PLAIN,
    schema: z.object({
      /** The version of the rules that made it. */
      rules: z.int().min(1),
      /** Of the imports with these ids, in this order. */
      imports: z.array(ImportId),
      digest: Digest,
      /** Pairs to settle, as the places of their records one after the other. */
      toSettle: Digest.optional(),
    }),
    apply: (r, p) => {
      r.partition = p
    },
    blobs: (p) => [p.digest, ...(p.toSettle === undefined ? [] : [p.toSettle])],
    place: () => atStage('records'),
    words: said('records told apart by rules'),
  }),
  'pair.join': kind({
    ...PLAIN,
    schema: Pair,
    apply: decide(true),
    place: (p) => atStage('records', `work:${p.a}`),
    words: said('records joined as one work'),
  }),
  'pair.part': kind({
    ...PLAIN,
    schema: Pair,
    apply: decide(false),
    place: (p) => atStage('records', `work:${p.a}`),
    words: said('records parted'),
  }),
}
