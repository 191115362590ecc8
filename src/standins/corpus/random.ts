/** Chance that gives the same row of numbers for the same seed, on every machine. */
export class Random {
  private state: number

  constructor(seed: string | number) {
    let h = 2166136261
    for (const c of String(seed)) h = Math.imul(h ^ c.charCodeAt(0), 16777619)
    this.state = h >>> 0
  }

  /** From 0 up to, not including, 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0
    let t = this.state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }

  chance(probability: number): boolean {
    return this.next() < probability
  }

  /** A whole number, both ends included. */
  int(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1))
  }

  /** A number with so many decimals, both ends included. */
  decimal(low: number, high: number, decimals: number): number {
    const scale = 10 ** decimals
    return this.int(Math.round(low * scale), Math.round(high * scale)) / scale
  }

  pick<T>(items: readonly T[]): T {
    if (!items.length) throw new Error('Nothing to pick from')
    return items[Math.floor(this.next() * items.length)]!
  }

  /** By weight; weights need not sum to 1. */
  weighted<T extends string>(weights: Partial<Record<T, number>>): T {
    const entries = Object.entries(weights) as [T, number][]
    let left = this.next() * entries.reduce((sum, [, w]) => sum + w, 0)
    for (const [key, w] of entries) if ((left -= w) < 0) return key
    return entries[entries.length - 1]![0]
  }

  /** So many different items, in random order; all of them if there are fewer. */
  some<T>(items: readonly T[], count: number): T[] {
    const pool = [...items]
    const out: T[] = []
    while (out.length < count && pool.length)
      out.push(pool.splice(Math.floor(this.next() * pool.length), 1)[0]!)
    return out
  }

  /** The place in a list by Zipf's law: the first items often, the last ones rarely. */
  zipf<T>(items: readonly T[], exponent = 1): T {
    let total = 0
    for (let i = 0; i < items.length; i++) total += 1 / (i + 1) ** exponent
    let left = this.next() * total
    for (let i = 0; i < items.length; i++) if ((left -= 1 / (i + 1) ** exponent) < 0) return items[i]!
    return items[items.length - 1]!
  }
}
