import { FIELD_SHIFT } from './document'
import type { DocSet } from './docset'
import type { Index } from './index-read'

/** The first place from `at` on, before `end`, whose document is no smaller; found by steps that double. */
function onTo(pairDoc: Uint32Array, at: number, end: number, doc: number): number {
  if (at >= end || pairDoc[at]! >= doc) return at
  let step = 1
  let low = at
  while (low + step < end && pairDoc[low + step]! < doc) {
    low += step
    step *= 2
  }
  let high = Math.min(low + step, end)
  while (low + 1 < high) {
    const middle = (low + high) >>> 1
    if (pairDoc[middle]! < doc) low = middle
    else high = middle
  }
  return high
}

/**
 * Documents in which two terms stand with at most `distance` words between, read straight from where they stand: nothing is
 * laid out of documents that hold both and not near each other. As `nearDocs` does for what is one word on each side.
 */
export function nearOfTwo(
  index: Index,
  left: number,
  right: number,
  mask: number,
  distance: number,
  ordered: boolean,
): DocSet {
  const { termPairs, pairDoc, pairMask, pairStart, positions } = index.words
  let p = termPairs[left]!
  let q = termPairs[right]!
  const pEnd = termPairs[left + 1]!
  const qEnd = termPairs[right + 1]!
  const out = new Uint32Array(Math.min(pEnd - p, qEnd - q))
  let n = 0
  const most = distance + 1
  while (p < pEnd && q < qEnd) {
    const doc = pairDoc[p]!
    if (doc !== pairDoc[q]!) {
      if (doc < pairDoc[q]!) p = onTo(pairDoc, p, pEnd, pairDoc[q]!)
      else q = onTo(pairDoc, q, qEnd, doc)
      continue
    }
    if (pairMask[p]! & pairMask[q]! & mask) {
      const iEnd = pairStart[p + 1]!
      const jEnd = pairStart[q + 1]!
      let i = pairStart[p]!
      let j = pairStart[q]!
      // Places of both in their order; each is held against the last of the other. Fields lie further apart than any distance.
      let lastLeft = -Infinity
      let lastRight = -Infinity
      while (i < iEnd || j < jEnd) {
        const x = i < iEnd ? positions[i]! : Infinity
        const y = j < jEnd ? positions[j]! : Infinity
        const at = x < y ? x : y
        const isNear = (y <= x && y - lastLeft <= most) || (!ordered && x <= y && x - lastRight <= most)
        if (isNear && (1 << (at >>> FIELD_SHIFT)) & mask) {
          out[n++] = doc
          break
        }
        if (x === at) {
          lastLeft = x
          i++
        }
        if (y === at) {
          lastRight = y
          j++
        }
      }
    }
    p++
    q++
  }
  return out.subarray(0, n)
}

/** Documents in which terms stand side by side in this order, each slot one term; read straight as above. */
export function besideEachOther(index: Index, slots: readonly number[], mask: number): DocSet {
  const { termPairs, pairDoc, pairMask, pairStart, positions } = index.words
  const at = slots.map((t) => termPairs[t]!)
  const ends = slots.map((t) => termPairs[t + 1]!)
  const lengths = slots.map((_, k) => ends[k]! - at[k]!)
  const rare = lengths.indexOf(Math.min(...lengths))
  const out = new Uint32Array(lengths[rare]!)
  let n = 0
  /** Where the others stand in the document that is looked at: searched on from there for each place of the rare one. */
  const seen = new Uint32Array(slots.length)
  for (let p = at[rare]!; p < ends[rare]!; p++) {
    const doc = pairDoc[p]!
    let shared = pairMask[p]! & mask
    let all = true
    for (let k = 0; k < slots.length && all && shared; k++) {
      if (k === rare) continue
      const to = onTo(pairDoc, at[k]!, ends[k]!, doc)
      at[k] = to
      all = to < ends[k]! && pairDoc[to] === doc
      if (all) {
        shared &= pairMask[to]!
        seen[k] = pairStart[to]!
      }
    }
    if (!all || !shared) continue
    let found = false
    for (let i = pairStart[p]!; i < pairStart[p + 1]! && !found; i++) {
      const place = positions[i]!
      if (!((1 << (place >>> FIELD_SHIFT)) & mask)) continue
      found = true
      for (let k = 0; k < slots.length && found; k++) {
        if (k === rare) continue
        const wanted = place + k - rare
        const end = pairStart[at[k]! + 1]!
        let j = seen[k]!
        while (j < end && positions[j]! < wanted) j++
        seen[k] = j
        found = j < end && positions[j] === wanted
      }
    }
    if (found) out[n++] = doc
  }
  return out.subarray(0, n)
}
