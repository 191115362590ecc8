/** A set of document numbers, ascending, each once. Never changed in place: it may be a view into the index. */
export type DocSet = Uint32Array

export const EMPTY: DocSet = new Uint32Array(0)

/** Where one list is this many times longer than the other, leaping through it beats walking along it. */
const LEAP = 12

/** First place in `list` at or after `from` whose value is not below `value`; gallops, then halves. */
function seek(list: DocSet, value: number, from: number): number {
  let step = 1
  let low = from
  let high = from
  while (high < list.length && list[high]! < value) {
    low = high + 1
    high += step
    step <<= 1
  }
  if (high > list.length) high = list.length
  while (low < high) {
    const middle = (low + high) >>> 1
    if (list[middle]! < value) low = middle + 1
    else high = middle
  }
  return low
}

export function intersect(a: DocSet, b: DocSet): DocSet {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a]
  if (!short.length) return EMPTY
  const out = new Uint32Array(short.length)
  let n = 0
  if (long.length > short.length * LEAP) {
    let at = 0
    for (let i = 0; i < short.length; i++) {
      const value = short[i]!
      at = seek(long, value, at)
      if (at >= long.length) break
      if (long[at] === value) out[n++] = value
    }
  } else {
    let i = 0
    let j = 0
    while (i < short.length && j < long.length) {
      const x = short[i]!
      const y = long[j]!
      if (x === y) {
        out[n++] = x
        i++
        j++
      } else if (x < y) i++
      else j++
    }
  }
  return out.subarray(0, n)
}

/** `a` without what is in `b`. */
export function subtract(a: DocSet, b: DocSet): DocSet {
  if (!b.length) return a
  const out = new Uint32Array(a.length)
  let n = 0
  let at = 0
  const leap = b.length > a.length * LEAP
  for (let i = 0; i < a.length; i++) {
    const value = a[i]!
    if (leap) at = seek(b, value, at)
    else while (at < b.length && b[at]! < value) at++
    if (b[at] !== value) out[n++] = value
  }
  return out.subarray(0, n)
}

export function unite(a: DocSet, b: DocSet): DocSet {
  if (!a.length) return b
  if (!b.length) return a
  const out = new Uint32Array(a.length + b.length)
  let i = 0
  let j = 0
  let n = 0
  while (i < a.length && j < b.length) {
    const x = a[i]!
    const y = b[j]!
    out[n++] = x < y ? x : y
    if (x <= y) i++
    if (y <= x) j++
  }
  while (i < a.length) out[n++] = a[i++]!
  while (j < b.length) out[n++] = b[j++]!
  return out.subarray(0, n)
}

/** The union of many sets over documents 0…size−1: through bits where the sets are full, pairwise where they are not. */
export function uniteAll(sets: readonly DocSet[], size: number): DocSet {
  const full = sets.filter((s) => s.length)
  if (full.length < 3) return full.reduce(unite, EMPTY)
  let total = 0
  for (const s of full) total += s.length
  if (total < size >>> 8) {
    const sorted = new Uint32Array(total)
    let at = 0
    for (const s of full) {
      sorted.set(s, at)
      at += s.length
    }
    sorted.sort()
    let n = 0
    for (let i = 0; i < total; i++) if (i === 0 || sorted[i] !== sorted[i - 1]) sorted[n++] = sorted[i]!
    return sorted.subarray(0, n)
  }
  const bits = new Uint32Array((size + 31) >>> 5)
  for (const s of full) for (let i = 0; i < s.length; i++) bits[s[i]! >>> 5]! |= 1 << (s[i]! & 31)
  const out = new Uint32Array(Math.min(total, size))
  let n = 0
  for (let w = 0; w < bits.length; w++) {
    let word = bits[w]!
    while (word) {
      const low = word & -word
      out[n++] = (w << 5) + (31 - Math.clz32(low))
      word ^= low
    }
  }
  return out.subarray(0, n)
}

export function everything(size: number): DocSet {
  const out = new Uint32Array(size)
  for (let i = 0; i < size; i++) out[i] = i
  return out
}
