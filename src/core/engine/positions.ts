import { FIELD_SHIFT } from './document'
import { intersect, type DocSet } from './docset'
import type { Index } from './index-read'

/**
 * Where something stands: for `docs[i]` the stretches `from[k]…to[k]` with `starts[i] ≤ k < starts[i + 1]`, in
 * ascending order of their beginning. A word's stretch begins and ends at the same position.
 */
export interface Places {
  docs: DocSet
  starts: Uint32Array
  from: Uint32Array
  to: Uint32Array
}

/** Places of any of the terms, in the fields of `mask`, in the documents of `within`. */
export function placesOfTerms(index: Index, terms: readonly number[], mask: number, within?: DocSet): Places {
  const lists = terms.map((t) => onePlaces(index, t, mask, within))
  return mergePlaces(lists)
}

function onePlaces(index: Index, term: number, mask: number, within: DocSet | undefined): Places {
  const { termPairs, pairDoc, pairMask, pairStart, positions } = index.words
  const first = termPairs[term]!
  const last = termPairs[term + 1]!
  const most = within ? Math.min(within.length, last - first) : last - first
  const docs = new Uint32Array(most)
  const starts = new Uint32Array(most + 1)
  const from: number[] = []
  let n = 0
  let w = 0
  for (let p = first; p < last; p++) {
    const doc = pairDoc[p]!
    if (within) {
      while (w < within.length && within[w]! < doc) w++
      if (w >= within.length) break
      if (within[w] !== doc) continue
    }
    if (!(pairMask[p]! & mask)) continue
    for (let i = pairStart[p]!; i < pairStart[p + 1]!; i++)
      if ((1 << (positions[i]! >>> FIELD_SHIFT)) & mask) from.push(positions[i]!)
    docs[n++] = doc
    starts[n] = from.length
  }
  const row = Uint32Array.from(from)
  return { docs: docs.subarray(0, n), starts: starts.subarray(0, n + 1), from: row, to: row }
}

/** The places of all lists together. */
export function mergePlaces(lists: Places[]): Places {
  const full = lists.filter((l) => l.docs.length)
  const [only] = full
  if (!only)
    return {
      docs: new Uint32Array(0),
      starts: new Uint32Array(1),
      from: new Uint32Array(0),
      to: new Uint32Array(0),
    }
  if (full.length === 1) return only
  // Halving keeps the work at n log k over k lists.
  const middle = full.length >>> 1
  return mergeTwo(mergePlaces(full.slice(0, middle)), mergePlaces(full.slice(middle)))
}

function mergeTwo(a: Places, b: Places): Places {
  const docs = new Uint32Array(a.docs.length + b.docs.length)
  const starts = new Uint32Array(docs.length + 1)
  const from = new Uint32Array(a.from.length + b.from.length)
  const to = new Uint32Array(from.length)
  let n = 0
  let k = 0
  let i = 0
  let j = 0
  while (i < a.docs.length || j < b.docs.length) {
    const da = i < a.docs.length ? a.docs[i]! : Infinity
    const db = j < b.docs.length ? b.docs[j]! : Infinity
    let p = da <= db ? a.starts[i]! : 0
    const pEnd = da <= db ? a.starts[i + 1]! : 0
    let q = db <= da ? b.starts[j]! : 0
    const qEnd = db <= da ? b.starts[j + 1]! : 0
    while (p < pEnd || q < qEnd) {
      const takeA = q >= qEnd || (p < pEnd && a.from[p]! <= b.from[q]!)
      from[k] = takeA ? a.from[p]! : b.from[q]!
      to[k++] = takeA ? a.to[p++]! : b.to[q++]!
    }
    docs[n++] = Math.min(da, db)
    starts[n] = k
    if (da <= db) i++
    if (db <= da) j++
  }
  return {
    docs: docs.subarray(0, n),
    starts: starts.subarray(0, n + 1),
    from: from.subarray(0, k),
    to: to.subarray(0, k),
  }
}

/** Places where the slots follow each other without a word between: the stretches of a phrase. */
export function phrasePlaces(slots: Places[]): Places {
  let places = slots[0]!
  for (const next of slots.slice(1)) places = follow(places, next)
  return places
}

function follow(a: Places, b: Places): Places {
  const common = intersect(a.docs, b.docs)
  const docs = new Uint32Array(common.length)
  const starts = new Uint32Array(common.length + 1)
  const from: number[] = []
  const to: number[] = []
  let n = 0
  let i = 0
  let j = 0
  for (const doc of common) {
    while (a.docs[i] !== doc) i++
    while (b.docs[j] !== doc) j++
    let q = b.starts[j]!
    const qEnd = b.starts[j + 1]!
    const before = from.length
    for (let p = a.starts[i]!; p < a.starts[i + 1]!; p++) {
      const wanted = a.to[p]! + 1
      while (q < qEnd && b.from[q]! < wanted) q++
      if (q < qEnd && b.from[q] === wanted) {
        from.push(a.from[p]!)
        to.push(b.to[q]!)
      }
    }
    if (from.length > before) {
      docs[n++] = doc
      starts[n] = from.length
    }
  }
  return {
    docs: docs.subarray(0, n),
    starts: starts.subarray(0, n + 1),
    from: Uint32Array.from(from),
    to: Uint32Array.from(to),
  }
}

/**
 * Documents where a stretch of `a` and one of `b` have at most `distance` words between them and do not overlap.
 * Fields and values lie further apart than any distance, so both stand in one value.
 */
export function nearDocs(a: Places, b: Places, distance: number, ordered: boolean): DocSet {
  const common = intersect(a.docs, b.docs)
  const out = new Uint32Array(common.length)
  let n = 0
  let i = 0
  let j = 0
  for (const doc of common) {
    while (a.docs[i] !== doc) i++
    while (b.docs[j] !== doc) j++
    const found =
      within(a, a.starts[i]!, a.starts[i + 1]!, b, b.starts[j]!, b.starts[j + 1]!, distance) ||
      (!ordered && within(b, b.starts[j]!, b.starts[j + 1]!, a, a.starts[i]!, a.starts[i + 1]!, distance))
    if (found) out[n++] = doc
  }
  return out.subarray(0, n)
}

/** Is there a stretch of `b` that begins after one of `a` ends, with at most `distance` words between? */
function within(
  a: Places,
  p: number,
  pEnd: number,
  b: Places,
  q0: number,
  qEnd: number,
  distance: number,
): boolean {
  let q = q0
  for (; p < pEnd; p++) {
    // Stretches of differing length: a later beginning may end earlier, so look from the start of what is still ahead.
    while (q < qEnd && b.from[q]! <= a.from[p]!) q++
    for (let r = q; r < qEnd && b.from[r]! <= a.to[p]! + distance + 1; r++)
      if (b.from[r]! > a.to[p]!) return true
  }
  return false
}
