import { canonicalJson, digestOf, keptFor } from '../../base'
import { meaningOf, parse, referredLines, type LimitValue } from '../../query'

/** As much of a line as decides what it finds. */
export interface LineLike {
  id: string
  text: string
  limits: readonly LimitValue[]
  /** What was done, for a search that has no text. */
  described?: string | undefined
}

/**
 * The number of the line that says what the strategy found: the last one that has a text. 0 where there is none. A
 * search that was only described stands for itself.
 */
export const finalNumber = (lines: readonly { described?: string | undefined }[]): number =>
  lines.findLastIndex((l) => l.described === undefined) + 1

/** That line itself. */
export const finalLine = <T extends { described?: string | undefined }>(lines: readonly T[]): T | undefined =>
  lines[finalNumber(lines) - 1]

/** A way to make keys. One that was ever released is never changed: runs name it by its version. */
export interface KeyRule {
  version: number
  /** What stands for the meaning of a text; texts that mean the same give the same. */
  said: (text: string) => string
}

/** The rule of the first form: what a text says once it is read and written out again. */
const RULE_0: KeyRule = {
  version: 0,
  said: (text) => {
    const { tree } = parse(text)
    return tree ? meaningOf(tree) : text
  },
}
/** The rule under which keys are made now. */
export const PRESENT_RULE: KeyRule = RULE_0

/**
 * For every line a key that changes exactly when what it asks changes: its own expression and limits, or those of a
 * line it refers to, however far back. Two lines with the same key ask the same. A reference forward or to itself
 * counts as a reference to nothing.
 */
export function lineKeys(
  lines: readonly LineLike[],
  rule: KeyRule = PRESENT_RULE,
): ReadonlyMap<string, string> {
  return rule === PRESENT_RULE ? presentKeys(lines) : keysOf(lines, rule)
}
// After each deed every line is asked for its key; a list of lines is never changed in place.
const presentKeys = keptFor((lines: readonly LineLike[]) => keysOf(lines, PRESENT_RULE))

function keysOf(lines: readonly LineLike[], rule: KeyRule): ReadonlyMap<string, string> {
  const keys: string[] = []
  lines.forEach((line, i) => {
    const { tree } = parse(line.text)
    const below = tree ? referredLines(tree).map((n) => (n >= 1 && n <= i ? keys[n - 1]! : `none ${n}`)) : []
    keys.push(digestOf(canonicalJson([line.described ?? rule.said(line.text), line.limits, below])))
  })
  return new Map(lines.map((line, i) => [line.id, keys[i]!]))
}

/** A line as it stood when it was run, with its number then. */
export interface Reached extends LineLike {
  number: number
}

/** A line and all that it refers to, however far back, ascending: with them its key can be made under any rule. */
export function reachedBy(lines: readonly LineLike[], lineId: string): NumberedLine[] {
  const found = new Set<number>()
  const reach = (number: number): void => {
    const line = lines[number - 1]
    if (!line || found.has(number)) return
    found.add(number)
    const { tree } = parse(line.text)
    if (tree) for (const n of referredLines(tree)) if (n >= 1 && n < number) reach(n)
  }
  reach(lines.findIndex((l) => l.id === lineId) + 1)
  return [...found]
    .sort((a, b) => a - b)
    .map((number) => {
      const { id, text, limits, described } = lines[number - 1]!
      return { number, id, text, limits: [...limits], ...(described === undefined ? {} : { described }) }
    })
}
export interface NumberedLine {
  number: number
  id: string
  text: string
  limits: LineLike['limits'][number][]
  described?: string
}

/** As much of a run as its key needs. */
export interface KeyedRun {
  lineId: string
  key: string
  reached?: readonly Reached[] | undefined
}

/** What a run asked, as a key under this rule; for one that does not say what it reached, the key it was stored with. */
export function keyOfRun(run: KeyedRun, rule: KeyRule = PRESENT_RULE): string {
  if (!run.reached) return run.key
  if (rule === PRESENT_RULE) return presentKey(run.reached)
  return keyOfReached(run.reached, rule)
}
// A run is asked for its key by every screen; what it reached is never changed in place.
const presentKey = keptFor((reached: readonly Reached[]) => keyOfReached(reached, PRESENT_RULE))

function keyOfReached(reached: readonly Reached[], rule: KeyRule): string {
  const last = reached[reached.length - 1]
  const lines: LineLike[] = []
  for (let n = 1; n <= (last?.number ?? 0); n++)
    lines.push(reached.find((l) => l.number === n) ?? { id: `${n}`, text: '', limits: [] })
  return last
    ? [
        ...lineKeys(
          lines.map((l, i) => ({ ...l, id: `${i}` })),
          rule,
        ).values(),
      ].at(-1)!
    : ''
}

/** The numbers of the lines that depend on line `number`, directly or through others, ascending. */
export function dependants(lines: readonly LineLike[], number: number): number[] {
  const found = new Set([number])
  lines.forEach((line, i) => {
    const { tree } = parse(line.text)
    if (i + 1 > number && tree && referredLines(tree).some((n) => found.has(n))) found.add(i + 1)
  })
  found.delete(number)
  return [...found].sort((a, b) => a - b)
}
