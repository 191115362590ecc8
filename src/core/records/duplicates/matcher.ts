import type { Rec } from '../record'
import { decideByHand, type Decision, type ToSettle } from './by-hand'
import { MOST } from './blocks'
import type { Print } from './print'
import { RULES, type Rules } from './rules'

export interface PartitionFound {
  /** The classes of certain joins, in the order of their first records; single ones included. */
  classes: string[][]
  /** Pairs of records of two classes that a person has to look at, each pair of classes once. */
  toSettle: ToSettle[]
}

/** How far matching is: so many records of so many. */
export interface Matched {
  done: number
  of: number
}

const EVERY = 250

/**
 * A key as a number of 53 bits (two rounds of multiplying and shifting, after cyrb53, public domain): millions of keys as
 * texts take twice the memory of all else. Two keys of one number only bring records together that are then told apart.
 */
function hashOf(key: string): number {
  let [a, b] = [0xdeadbeef, 0x41c6ce57]
  for (let i = 0; i < key.length; i++) {
    const code = key.charCodeAt(i)
    a = Math.imul(a ^ code, 2654435761)
    b = Math.imul(b ^ code, 1597334677)
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909)
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909)
  return 4294967296 * (2097151 & b) + (a >>> 0)
}

/**
 * Tells apart records under names: joins what is certain, and gives what is to be settled. Records may be added in several
 * goes, each of which compares only what is new; what comes out is the same as if all had been added at once, in any order.
 */
export class Matcher {
  private readonly names: string[] = []
  private readonly prints: Print[] = []
  /** By record, the numbers of its keys; by key, its records and whether a DOI is one. */
  private readonly keys: number[][] = []
  private readonly numbers = new Map<number, number>()
  /** One record by itself, as most keys have; a list from the second on. */
  private readonly blocks: (number | number[])[] = []
  private readonly identifiers: boolean[] = []
  private certain: (readonly [number, number])[] = []
  private open: (readonly [number, number])[] = []
  /** Of pairs that closure brought together, whether something forbids it. */
  private readonly forbidden = new Map<number, boolean>()

  constructor(private readonly rules: Rules = RULES) {}

  private put(name: string, print: Print): void {
    const at = this.names.length
    this.names.push(name)
    this.prints.push(print)
    const own: number[] = []
    for (const key of this.rules.keys(print)) {
      const hash = hashOf(key)
      let number = this.numbers.get(hash)
      if (number === undefined) {
        number = this.blocks.length
        this.numbers.set(hash, number)
        this.blocks.push(at)
        this.identifiers.push(key.startsWith('d '))
        own.push(number)
        continue
      }
      if (own.includes(number)) continue
      own.push(number)
      const block = this.blocks[number]!
      if (typeof block === 'number') this.blocks[number] = [block, at]
      else block.push(at)
    }
    this.keys.push(own)
  }

  /** Adds records; goes on while it is asked for more, and gives now and then how far it is. */
  *add(names: readonly string[], records: readonly Rec[]): Generator<Matched, void> {
    const first = this.names.length
    const of = records.length
    for (let n = 0; n < of; n++) {
      this.put(names[n]!, this.rules.print(records[n]!))
      if (n % EVERY === EVERY - 1) yield { done: n / 4, of }
    }
    // A key that has become too common says nothing any more: what only it brought together is let go.
    this.certain = this.certain.filter(([i, j]) => this.shared(i, j) !== undefined)
    this.open = this.open.filter(([i, j]) => this.shared(i, j) !== undefined)
    for (let j = first; j < this.names.length; j++) {
      this.compare(j)
      if ((j - first) % EVERY === EVERY - 1) yield { done: of / 4 + ((j - first) * 3) / 4, of }
    }
  }

  private says(key: number): boolean {
    const block = this.blocks[key]!
    return this.identifiers[key]! || typeof block === 'number' || block.length <= MOST
  }

  /** The first key that says something and that both have. */
  private shared(i: number, j: number): number | undefined {
    const other = this.keys[j]!
    for (const key of this.keys[i]!) if (other.includes(key) && this.says(key)) return key
    return undefined
  }

  /** Compares a record with all before it that share a key. */
  private compare(j: number): void {
    const print = this.prints[j]!
    for (const key of this.keys[j]!) {
      if (!this.says(key)) continue
      const block = this.blocks[key]!
      // A record by itself has nobody to be compared with.
      if (typeof block === 'number') continue
      for (const i of block) {
        if (i >= j) break
        const other = this.prints[i]!
        // Most are told apart by this; whether another key brought them together too is asked of the rest alone.
        if (this.rules.plainlyDifferent(other, print) || this.shared(i, j) !== key) continue
        const { class: found } = this.rules.judge(other, print)
        if (found === 'certain') this.certain.push([i, j])
        else if (found === 'to settle') this.open.push([i, j])
      }
    }
  }

  /** The names of all records that certainly are of one work with this one, by the pair alone. */
  joinedWith(name: string): string[] {
    const at = this.names.indexOf(name)
    return this.certain.flatMap(([i, j]) => (i === at ? [this.names[j]!] : j === at ? [this.names[i]!] : []))
  }

  /** What has been found of all records so far. */
  found(): PartitionFound {
    const root = this.groups()
    const members = new Map<number, number[]>()
    for (let n = 0; n < root.length; n++) {
      const group = members.get(root[n]!)
      if (group) group.push(n)
      else members.set(root[n]!, [n])
    }
    const classes: number[][] = []
    const torn: ToSettle[] = []
    const place = new Map<string, number>()
    for (const group of members.values()) {
      const vetoes = group.length > 2 ? this.vetoesIn(group) : []
      if (!vetoes.length) {
        classes.push(group)
        continue
      }
      // No class holds a pair that the rules forbid: what closure forced together is taken apart, or goes to settle.
      const names = group.map((n) => this.names[n]!).sort()
      for (const n of group) place.set(this.names[n]!, n)
      const parted = decideByHand([names], vetoes, names)
      for (const c of parted.classes) classes.push(c.map((name) => place.get(name)!).sort((a, b) => a - b))
      torn.push(...parted.toSettle)
    }
    classes.sort((a, b) => a[0]! - b[0]!)
    const classOf = new Int32Array(root.length)
    classes.forEach((group, n) => {
      for (const m of group) classOf[m] = n
    })
    const pairs = [
      ...torn.map(({ a, b }) => [place.get(a)!, place.get(b)!] as const),
      ...this.open.map(([i, j]) => [i, j] as const),
    ]
    return {
      classes: classes.map((group) => group.map((n) => this.names[n]!)),
      toSettle: this.between(classOf, pairs),
    }
  }

  /** By record, the least of those that certain joins connect it with. */
  private groups(): Int32Array {
    const parent = Int32Array.from(this.names, (_, n) => n)
    const rootOf = (n: number): number => {
      while (parent[n] !== n) n = parent[n] = parent[parent[n]!]!
      return n
    }
    for (const [i, j] of this.certain) {
      const [a, b] = [rootOf(i), rootOf(j)]
      if (a !== b) parent[Math.max(a, b)] = Math.min(a, b)
    }
    return parent.map((_, n) => rootOf(n))
  }

  /** Within a group every pair is looked at, also those that no key brought together. */
  private vetoesIn(group: readonly number[]): Decision[] {
    const vetoes: Decision[] = []
    for (let i = 0; i < group.length; i++)
      for (let j = i + 1; j < group.length; j++) {
        const [a, b] = [group[i]!, group[j]!]
        const pair = a * 2 ** 26 + b
        let no = this.forbidden.get(pair)
        if (no === undefined) {
          no = this.rules.judge(this.prints[a]!, this.prints[b]!).veto !== undefined
          this.forbidden.set(pair, no)
        }
        if (no) vetoes.push({ ...this.pairOf(a, b), same: false })
      }
    return vetoes
  }

  private pairOf(i: number, j: number): ToSettle {
    const [a, b] = [this.names[i]!, this.names[j]!]
    return a < b ? { a, b } : { a: b, b: a }
  }

  /**
   * What two records of different years have in common, where a third year of the same is among what is to be settled: they
   * are a series, and one question stands for all.
   */
  private seriesOf(
    pairs: readonly (readonly [number, number])[],
  ): (i: number, j: number) => string | undefined {
    const { series } = this.rules
    const years = new Map<string, Set<number>>()
    const keyOf = (i: number, j: number): string | undefined => {
      const key = series?.(this.prints[i]!)
      const apart = key !== undefined && this.prints[i]!.year !== this.prints[j]!.year
      return apart && series!(this.prints[j]!) === key ? key : undefined
    }
    for (const [i, j] of pairs) {
      const key = keyOf(i, j)
      if (key === undefined) continue
      const of = years.get(key) ?? new Set<number>()
      years.set(key, of.add(this.prints[i]!.year!).add(this.prints[j]!.year!))
    }
    return (i, j) => {
      const key = keyOf(i, j)
      return key !== undefined && years.get(key)!.size > 2 ? key : undefined
    }
  }

  /** Pairs of records of different classes, one for each two classes and one for each series: the first by name. */
  private between(classOf: Int32Array, pairs: readonly (readonly [number, number])[]): ToSettle[] {
    const found = new Map<number, ToSettle>()
    const seriesOf = this.seriesOf(pairs)
    const asked = new Set<string>()
    const sorted = pairs
      .filter(([i, j]) => classOf[i] !== classOf[j])
      .map(([i, j]) => ({ i, j, pair: this.pairOf(i, j) }))
      .sort((p, q) => (p.pair.a === q.pair.a ? (p.pair.b < q.pair.b ? -1 : 1) : p.pair.a < q.pair.a ? -1 : 1))
    for (const { i, j, pair } of sorted) {
      const [a, b] = [classOf[i]!, classOf[j]!].sort((x, y) => x - y) as [number, number]
      const key = a * 2 ** 26 + b
      if (found.has(key)) continue
      const series = seriesOf(i, j)
      if (series !== undefined && asked.has(series)) continue
      if (series !== undefined) asked.add(series)
      found.set(key, pair)
    }
    return [...found.values()]
  }
}

/** Tells apart all of these records at once. `told` is called now and then with how far it is. */
export function findPartition(
  names: readonly string[],
  records: readonly Rec[],
  told: (matched: Matched) => void = () => undefined,
  rules: Rules = RULES,
): PartitionFound {
  const matcher = new Matcher(rules)
  for (const matched of matcher.add(names, records)) told(matched)
  return matcher.found()
}
