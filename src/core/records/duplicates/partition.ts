import type { Rec } from '../record'
import { decideByHand, type Decision, type ToSettle } from './by-hand'
import { candidatePairs } from './blocks'
import { judge, plainlyDifferent } from './judge'
import { printOf } from './print'

export interface PartitionFound {
  /** The classes of certain joins, in the order of their first records; single ones included. */
  classes: string[][]
  /** Pairs of records of two classes that a person has to look at, each pair of classes once. */
  toSettle: ToSettle[]
}

/**
 * Tells apart records under these names: joins what is certain, and gives what is to be settled. No class holds a pair
 * that the rules forbid: what closure would force together goes to settle. The order of the records changes nothing but
 * the order of the classes. `told` is called now and then with how many pairs were judged.
 */
export function findPartition(
  names: readonly string[],
  records: readonly Rec[],
  told: (pairs: number) => void = () => undefined,
): PartitionFound {
  const prints = records.map(printOf)
  const joined: Decision[] = []
  const open: ToSettle[] = []
  const pairOf = (i: number, j: number): ToSettle => {
    const [a, b] = [names[i]!, names[j]!]
    return a < b ? { a, b } : { a: b, b: a }
  }
  let count = 0
  for (const [i, j] of candidatePairs(prints)) {
    if (++count % 20_000 === 0) told(count)
    if (plainlyDifferent(prints[i]!, prints[j]!)) continue
    const { class: found } = judge(prints[i]!, prints[j]!)
    if (found === 'certain') joined.push({ ...pairOf(i, j), same: true })
    else if (found === 'to settle') open.push(pairOf(i, j))
  }
  const place = new Map(names.map((name, i) => [name, i]))
  const first = decideByHand([], joined, names)
  // Within a class every pair is looked at, also those that no key brought together.
  const vetoes: Decision[] = []
  for (const members of first.classes)
    for (let i = 0; i < members.length && members.length > 1; i++)
      for (let j = i + 1; j < members.length; j++) {
        const [a, b] = [place.get(members[i]!)!, place.get(members[j]!)!]
        if (judge(prints[a]!, prints[b]!).veto) vetoes.push({ ...pairOf(a, b), same: false })
      }
  const decided = vetoes.length ? decideByHand(first.classes, vetoes, names) : first
  return { classes: decided.classes, toSettle: between(decided.classes, [...decided.toSettle, ...open]) }
}

/** Pairs of records of different classes, one for each two classes: the first by name. */
function between(classes: readonly (readonly string[])[], pairs: readonly ToSettle[]): ToSettle[] {
  const classOf = new Map<string, number>()
  classes.forEach((members, n) => members.forEach((name) => classOf.set(name, n)))
  const found = new Map<string, ToSettle>()
  const sorted = [...pairs].sort((p, q) => (`${p.a} ${p.b}` < `${q.a} ${q.b}` ? -1 : 1))
  for (const pair of sorted) {
    const [i, j] = [classOf.get(pair.a)!, classOf.get(pair.b)!]
    if (i === j) continue
    const key = i < j ? `${i} ${j}` : `${j} ${i}`
    if (!found.has(key)) found.set(key, pair)
  }
  return [...found.values()]
}
