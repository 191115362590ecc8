// A review with many works, for benchmarks.
import { blockBytes, layOut, RULES_VERSION, type Rec } from '../src/core/records'
import { packReview, type Command } from '../src/core/review'
import { digestOf } from '../src/core/base'
import { entriesOf } from './browser'

/** The package of a review with a work for each of these records, and what was done with them. */
export function manyWorks(id: string, records: readonly Rec[], more: readonly Command[] = []): Uint8Array {
  const { at, bytes } = layOut(records)
  const classes = blockBytes(records.map((_, i) => i))
  const none = blockBytes([])
  const commands = [
    { kind: 'review.create', payload: { id, title: id } },
    { kind: 'person.named', payload: { id: 'person-1', name: 'R. Bench' } },
    { kind: 'source.set', payload: { id: 's', kind: 'own collection', name: 'our own collection', why: '' } },
    {
      kind: 'records.import',
      payload: { id: 'i', sourceId: 's', ...at, count: records.length, at: '2026-11-16T09:00:00Z' },
    },
    {
      kind: 'partition.set',
      payload: { rules: RULES_VERSION, imports: ['i'], digest: digestOf(classes), toSettle: digestOf(none) },
    },
    ...more,
  ] as Command[]
  bytes.set(digestOf(classes), classes)
  bytes.set(digestOf(none), none)
  return packReview({ entries: entriesOf(commands), blobs: bytes }, id)
}
