import { describe, expect, it } from 'vitest'
import { emptyRecord, followed, type Rec } from '.'

const record = (id: string, ...cited: string[]): Rec => ({
  ...emptyRecord(id, id),
  references: cited.map((c) => ({ raw: c, ...(c.startsWith('?') ? {} : { id: c }) })),
})
const RECORDS = [record('a', 'b', 'c', '?'), record('b', 'c'), record('c'), record('d', 'a', 'b')]
const ids = (list: readonly Rec[]) => list.map((r) => r.id)

describe('following references in a source', () => {
  it('finds what works cite, and what cites them, without these works themselves', () => {
    expect(ids(followed(RECORDS, ['a'], 'cited'))).toEqual(['b', 'c'])
    expect(ids(followed(RECORDS, ['a', 'b'], 'cited'))).toEqual(['c'])
    expect(ids(followed(RECORDS, ['b'], 'citing'))).toEqual(['a', 'd'])
    expect(ids(followed(RECORDS, ['c', 'nowhere'], 'citing'))).toEqual(['a', 'b'])
    expect(followed(RECORDS, [], 'cited')).toEqual([])
  })
})
