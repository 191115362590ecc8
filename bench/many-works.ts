// A review with many works, for benchmarks.
import { blockBytes, emptyRecord, layOut, RULES_VERSION, type Rec } from '../src/core/records'
import { packReview, type Command } from '../src/core/review'
import { digestOf } from '../src/core/base'
import { entriesOf } from './browser'

/** How many; RECORDS asks for others. */
export const COUNT = Number(process.env.RECORDS ?? 100_000)
/** Words in an abstract. */
const ABSTRACT = Number(process.env.ABSTRACT ?? 200)
const WORDS =
  'noise in rooms where children listen and read was measured before and after the change of ceilings'.split(
    ' ',
  )
const record = (i: number): Rec => ({
  ...emptyRecord(`r${i}`, `Title ${i} on sound, reading and the rooms of schools`),
  abstract: Array.from({ length: ABSTRACT }, (_w, k) => WORDS[(i + k * 7) % WORDS.length]!).join(' '),
  authors: ['Ahola, R.', `Quill, ${String.fromCharCode(65 + (i % 26))}.`],
  year: 2000 + (i % 26),
  journal: `Journal of Learning Spaces ${i % 40}`,
  keywords: [WORDS[i % WORDS.length]!],
  type: 'journal article',
})

/** The package of a review with so many works, each found once. */
export function manyWorks(id: string): Uint8Array {
  const { at, bytes } = layOut(Array.from({ length: COUNT }, (_, i) => record(i)))
  const classes = blockBytes(Array.from({ length: COUNT }, (_, i) => i))
  const none = blockBytes([])
  const commands = [
    { kind: 'review.create', payload: { id, title: id } },
    { kind: 'source.set', payload: { id: 's', kind: 'own collection', name: 'our own collection', why: '' } },
    {
      kind: 'records.import',
      payload: { id: 'i', sourceId: 's', ...at, count: COUNT, at: '2026-11-16T09:00:00Z' },
    },
    {
      kind: 'partition.set',
      payload: {
        rules: RULES_VERSION,
        imports: ['i'],
        digest: digestOf(classes),
        toSettle: digestOf(none),
      },
    },
  ] as Command[]
  bytes.set(digestOf(classes), classes)
  bytes.set(digestOf(none), none)
  return packReview({ entries: entriesOf(commands), blobs: bytes }, id)
}
