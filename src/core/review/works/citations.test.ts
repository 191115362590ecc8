import { describe, expect, it } from 'vitest'
import { emptyRecord, type Rec } from '../../records'
import { citationsOf } from './citations'
import type { WorkRead } from './works'

const record = (number: string, ...cited: (string | undefined)[]): Rec => ({
  ...emptyRecord(number, number),
  references: cited.map((id) => ({ raw: 'as it is printed', ...(id === undefined ? {} : { id }) })),
})
const RECORDS: Record<string, Rec> = {
  'i/1': record('w1', 'w2', 'w9', undefined),
  'i/2': record('w2'),
  'i/3': record('w3', 'w1', 'w3', 'w4'),
  'j/1': emptyRecord('w2', 'of another source'),
  'i/4': record('w4'),
}
const work = (id: string, ...records: string[]): WorkRead => ({
  id,
  record: RECORDS[id]!,
  records,
  former: [],
  sources: [...new Set(records.map((r) => r[0]!))],
  from: records.map((r) => ({ sourceId: r[0]!, recordId: RECORDS[r]!.id })),
  read: records.map((r) => ({ id: r, sourceId: r[0]!, record: RECORDS[r]! })),
})

describe('citations among works', () => {
  it('are found by the numbers of the source that both are of, both ways', () => {
    const works = [work('i/1', 'i/1'), work('i/2', 'i/2'), work('i/3', 'i/3', 'i/4'), work('j/1', 'j/1')]
    const { cites, citedBy } = citationsOf(works, (id) => ({ sourceId: id[0]!, record: RECORDS[id]! }))
    expect([...cites].map(([id, to]) => [id, [...to]])).toEqual([
      ['i/1', ['i/2']],
      // Its own other record is no other work.
      ['i/3', ['i/1']],
    ])
    expect([...citedBy].map(([id, by]) => [id, [...by]])).toEqual([
      ['i/2', ['i/1']],
      ['i/1', ['i/3']],
    ])
  })
})
