import { canonicalJson, digestOf } from '../../base'
import { parse, print, referredLines, type LimitValue } from '../../query'

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

/**
 * For every line a key that changes exactly when what it asks changes: its own expression and limits, or those of a
 * line it refers to, however far back. Two lines with the same key ask the same. A reference forward or to itself
 * counts as a reference to nothing.
 */
export function lineKeys(lines: readonly LineLike[]): Map<string, string> {
  const keys: string[] = []
  lines.forEach((line, i) => {
    const { tree } = parse(line.text)
    const below = tree ? referredLines(tree).map((n) => (n >= 1 && n <= i ? keys[n - 1]! : `none ${n}`)) : []
    keys.push(
      digestOf(canonicalJson([line.described ?? (tree ? print(tree) : line.text), line.limits, below])),
    )
  })
  return new Map(lines.map((line, i) => [line.id, keys[i]!]))
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
