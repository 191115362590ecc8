import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyLimits, buildIndex, evaluate, type DocSet } from '../../engine'
import { parse } from '../../query'
import { emptyRecord, toDocument } from '../../records'
import { ConceptEvidence, SearchTree } from '../tree'
import { knownItemBoard, notLosses, termYields } from './judging'
import { runStrategy } from '../run/run'

const index = buildIndex(
  [
    'noise reading class',
    'noise reading',
    'noise',
    'reading class',
    'noise music reading',
    'hum reading',
  ].map((t, i) => toDocument(emptyRecord(String(i), t))),
)
/** These lines as they were run, each with the letter of its concept if it has one, and the search that they build. */
const judged = (...texts: (string | [string, string])[]) => {
  const lines = texts.map((t, i) => ({
    id: `l${i + 1}`,
    limits: [],
    text: typeof t === 'string' ? t : t[0],
    conceptId: typeof t === 'string' ? undefined : t[1],
  }))
  const results = runStrategy({ index, options: {} }, lines)
  const read = lines.map((l, i) => ({ ...l, tree: parse(l.text).tree, docs: results[i]!.docs }))
  const search = new SearchTree(read, read.length, {
    size: index.size,
    ask: (e) => ({ docs: evaluate(index, e).docs, losses: [] }),
    limited: (docs, limit) => applyLimits(index, docs, [limit]),
  })
  const about = new ConceptEvidence({ concepts: [], terms: [] }, undefined, (n) => read[n - 1]?.conceptId)
  return { read, search, about }
}
const set = (...docs: number[]): DocSet => Uint32Array.from(docs)

describe('the known-item board', () => {
  const lines = judged('noise', 'hum', 'any(#1-#2)', 'reading', 'class', 'all(#3, #4, #5)')
  const board = (doc: number) => knownItemBoard(lines.read, [{ id: 'k', doc }], lines)[0]!

  it('says which line misses an item, and where it is lost first', () => {
    expect(board(0)).toMatchObject({ found: [true, false, true, true, true, true], lostAt: [] })
    expect(board(1).lostAt).toEqual([5])
    expect(board(2).lostAt).toEqual([4, 5])
    // Lost in an OR where neither part has it: both are named.
    expect(board(3).lostAt).toEqual([1, 2])
  })
  it('names a limit or a NOT itself, where what it is built on still has the item', () => {
    const cut = judged('noise', 'music', '#1 NOT #2')
    const [row] = knownItemBoard(cut.read, [{ id: 'k', doc: 4 }], cut)
    expect(row!.lostAt).toEqual([3])
    expect(row!.causes).toEqual([{ kind: 'not', lines: [3], by: 'music' }])
  })
})

describe('the yield of terms', () => {
  it('counts what a term alone brings, and the noise among those ruled', () => {
    const terms = [
      { id: 'noise', conceptId: 'b', docs: set(0, 1, 2, 4) },
      { id: 'hum', conceptId: 'b', docs: set(5) },
      { id: 'din', conceptId: 'b', docs: set(0, 1) },
      { id: 'reading', conceptId: 'c', docs: set(0, 1) },
    ]
    const near = new Map([['b', set(1, 4, 5)]])
    expect(termYields(terms, 6, near, { in: new Set([0]), out: new Set([2, 4]) })).toEqual([
      { id: 'noise', conceptId: 'b', hits: 4, only: 2, onlyNear: 1, noise: 2 / 3, ruled: 3 },
      { id: 'hum', conceptId: 'b', hits: 1, only: 1, onlyNear: 1, noise: undefined, ruled: 0 },
      { id: 'din', conceptId: 'b', hits: 2, only: 0, onlyNear: 0, noise: 0, ruled: 1 },
      { id: 'reading', conceptId: 'c', hits: 2, only: 2, onlyNear: 2, noise: 0, ruled: 1 },
    ])
  })

  it('agrees with taking each term out and counting what is lost', () => {
    const docs = fc
      .uniqueArray(fc.nat(20), { maxLength: 12 })
      .map((d) => Uint32Array.from(d.sort((a, b) => a - b)))
    fc.assert(
      fc.property(fc.array(docs, { minLength: 1, maxLength: 6 }), (sets) => {
        const terms = sets.map((d, i) => ({ id: String(i), conceptId: 'b', docs: d }))
        const yields = termYields(terms, 21, new Map(), { in: new Set(), out: new Set() })
        const all = new Set(sets.flatMap((d) => [...d]))
        yields.forEach((y, i) => {
          const without = new Set(sets.flatMap((d, k) => (k === i ? [] : [...d])))
          expect(y.only).toBe(all.size - without.size)
        })
      }),
    )
  })
})

describe('what NOT throws away', () => {
  it('is counted, with what the other concepts and the wanted records would have kept (common practice: x NOT y)', () => {
    const lines = judged(['noise NOT music', 'b'], ['reading', 'c'], 'all(#1-#2)')
    const idOf = (n: number): string => `l${n}`
    expect(notLosses(lines.search, new Set([4]), idOf)).toEqual([
      { lineId: 'l1', number: 1, without: 'music', lost: 1, wantedByOthers: 1, wanted: 1 },
    ])
    expect(notLosses(judged('noise').search, new Set(), idOf)).toEqual([])
  })
})
