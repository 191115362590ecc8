import type { AgreedOn, SettledOf } from '../reads/en'
import type { Deeds } from './deeds'

type Pass = 'broad' | 'close'
interface Said {
  verdict: string
  at: string
  inSight: boolean
}
const WORDS: Readonly<Record<string, string>> = { in: 'in', unsure: 'open', out: 'out' }

/** What each reader said of a work first, having read it, by reader. What was taken back was never said. */
function firstWords(deeds: Deeds, work: string, pass: Pass): Map<string, Said> {
  const found = new Map<string, Said>()
  for (const e of deeds.live) {
    const p = e.payload as {
      recordId?: string
      pass?: string
      reader?: string
      verdict?: string
      blinded?: boolean
    }
    if (p?.recordId !== work || p.pass !== pass || p.reader === undefined) continue
    if (e.kind === 'ruling.remove') found.delete(p.reader)
    if (e.kind === 'ruling.set' && !found.has(p.reader))
      found.set(p.reader, { verdict: p.verdict!, at: e.at, inSight: p.blinded === false })
  }
  return found
}

const settledAt = (deeds: Deeds, work: string, pass: Pass) =>
  deeds.of('ruling.settle').findLast((p) => p.pass === pass && p.recordId === work)

interface Pair {
  /** How often they said which two things, each not knowing what the other had said. */
  table: Map<string, number>
  seen: number
}

/** Each two who ruled the same works before these were settled. */
function pairsIn(deeds: Deeds, pass: Pass): Pair[] {
  const pairs = new Map<string, Pair>()
  for (const work of deeds.works) {
    const end = settledAt(deeds, work, pass)?.$at
    const all = [...firstWords(deeds, work, pass)].filter(([, s]) => end === undefined || s.at <= end)
    for (const [a, x] of all)
      for (const [b, y] of all) {
        if (a >= b) continue
        const pair = pairs.get(`${a} ${b}`) ?? { table: new Map(), seen: 0 }
        pairs.set(`${a} ${b}`, pair)
        const later = x.at < y.at ? y : x
        const cell = `${x.verdict} ${y.verdict}`
        if (later.inSight) pair.seen++
        else pair.table.set(cell, (pair.table.get(cell) ?? 0) + 1)
      }
  }
  return [...pairs.values()].filter((p) => p.table.size)
}

const both = ({ table }: Pair): number => [...table.values()].reduce((n, m) => n + m, 0)
const share = (pair: Pair): number =>
  [...pair.table].reduce((n, [cell, m]) => n + (cell.split(' ')[0] === cell.split(' ')[1] ? m : 0), 0) /
  both(pair)

/** Agreement beyond what the frequencies of both would give by chance; undefined where these leave no room for any. */
function kappa(pair: Pair): number | undefined {
  const of = (reader: 0 | 1, verdict: string): number =>
    [...pair.table].reduce((n, [cell, m]) => n + (cell.split(' ')[reader] === verdict ? m : 0), 0) /
    both(pair)
  const chance = Object.keys(WORDS).reduce((n, v) => n + of(0, v) * of(1, v), 0)
  return chance > 1 - 1e-12 ? undefined : (share(pair) - chance) / (1 - chance)
}

/** Are these the least and the most, to so many digits? What lies half-way may have been rounded either way. */
const spans = (all: readonly number[], [low, high]: readonly [number, number], digits: number): boolean => {
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= 0.5 * 10 ** -digits + 1e-9
  return near(Math.min(...all), low) && near(Math.max(...all), high)
}

/** They ruled so many of the same works, and what each said first is the same in so many of a hundred. */
export function agreed(read: AgreedOn, deeds: Deeds, pass: Pass): boolean {
  const pairs = pairsIn(deeds, pass)
  const kappas = pairs.map(kappa)
  const seen = pairs.reduce((n, p) => n + p.seen, 0)
  const said = new Set(pairs.flatMap((p) => [...p.table.keys()].flatMap((cell) => cell.split(' '))))
  return (
    pairs.length > 0 &&
    read.pairs === pairs.length &&
    spans(pairs.map(both), read.works, 0) &&
    spans(
      pairs.map((p) => share(p) * 100),
      read.share,
      1,
    ) &&
    (read.kappa === undefined
      ? kappas.some((k) => k === undefined)
      : kappas.every((k) => k !== undefined) && spans(kappas as number[], read.kappa, 2)) &&
    (read.interval === undefined ||
      (pairs.length === 1 && read.interval[0] <= kappas[0]! && kappas[0]! <= read.interval[1])) &&
    // The short form names neither the classes nor what is left out.
    (read.classes === undefined ||
      (read.classes.length === said.size &&
        [...said].every((v) => read.classes!.includes(WORDS[v]!)) &&
        (read.seen === 'some' ? pairs.length > 1 && seen > 0 : (read.seen ?? 0) === seen)))
  )
}

/** Two readers said different things of it, at first or at last; what of it was settled, how, and what the rest waits for. */
export function settled(read: SettledOf, deeds: Deeds, pass: Pass): boolean {
  let [done, waits] = [0, 0]
  const hows = new Set<string>()
  for (const work of deeds.works) {
    const last = [...deeds.ruled(work, pass)]
    const first = firstWords(deeds, work, pass)
    const word = settledAt(deeds, work, pass)
    const now = new Set(last.map(([, r]) => r.verdict)).size > 1
    const ever = last.some(([a, r]) =>
      last.some(([b, s]) =>
        [r.verdict, first.get(a)?.verdict ?? r.verdict].some((v) =>
          [s.verdict, first.get(b)?.verdict ?? s.verdict].some((w) => a !== b && v !== w),
        ),
      ),
    )
    if (word && ever) {
      done++
      hows.add((word.how as string).trim())
    } else if (!word && now) waits++
  }
  const rule = deeds.of('selection.rule').findLast((p) => p.pass === pass)?.rule ?? 'any yes goes on'
  return (
    done + waits > 0 &&
    read.differed === done + waits &&
    read.settled === done &&
    read.rule === (waits ? rule : undefined) &&
    JSON.stringify([...read.hows].sort()) === JSON.stringify([...hows].sort())
  )
}
