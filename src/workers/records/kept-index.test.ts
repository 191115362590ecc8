import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import type { IndexParts } from '@/core/engine'
import { Derived } from '@/store/derived'
import { keepIndex, keptIndex } from './kept-index'

const LONG = (1 << 20) + 7
const parts: IndexParts = {
  size: 2,
  terms: ['echo', 'noise'],
  termPairs: Uint32Array.of(0, 1, 3),
  pairDoc: Uint32Array.of(0, 0, 1),
  pairMask: Uint16Array.of(1, 2, 3),
  pairStart: Uint32Array.of(0, 4, 9),
  positions: Uint32Array.from({ length: LONG }, (_, i) => i),
  headings: new Map(),
  classes: new Map(),
  facets: [],
}

describe('the index of words that is kept in pieces', () => {
  it('is read again as it was, also where a row is longer than a piece', async () => {
    const derived = new Derived('pieces-whole')
    await keepIndex(derived, 'r', 'a', parts)
    expect(await keptIndex(derived, 'r', 'a')).toEqual(parts)
  })

  it('is not there for works made from something else, nor where a piece is missing or of another time', async () => {
    const derived = new Derived('pieces-broken')
    expect(await keptIndex(derived, 'r', 'a')).toBeUndefined()
    await keepIndex(derived, 'r', 'a', parts)
    expect(await keptIndex(derived, 'r', 'b')).toBeUndefined()
    await derived.keep('r', 'words.positions.1', 'b', Uint32Array.of(1, 2, 3, 4, 5, 6, 7))
    expect(await keptIndex(derived, 'r', 'a')).toBeUndefined()
    await derived.keep('r', 'words.positions.1', 'a', Uint32Array.of(1))
    expect(await keptIndex(derived, 'r', 'a')).toBeUndefined()
  })
})
