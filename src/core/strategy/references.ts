import { numbersIn, parse, print, withoutPlaces, mapChildren, type Expr, type Lines } from '../query'

/** The fewest ranges that say the same, keeping the order of first mention. */
export function toRanges(numbers: readonly number[]): Lines['ranges'] {
  const ranges: Lines['ranges'] = []
  for (const n of numbers) {
    const last = ranges[ranges.length - 1]
    if (last && n === last.to + 1) last.to = n
    else ranges.push({ from: n, to: n })
  }
  return ranges
}

/**
 * The expression with its line references put to their new numbers. `now(n)` is undefined where the line is gone: then a
 * reference in a list is left out, and a single one becomes `#0`, which is an error that the editor shows.
 */
export function renumber(e: Expr, now: (number: number) => number | undefined): Expr {
  if (e.kind === 'line') return { ...e, number: now(e.number) ?? 0 }
  if (e.kind === 'lines') {
    const kept = numbersIn(e.ranges).flatMap((n) => now(n) ?? [])
    return kept.length ? { ...e, ranges: toRanges(kept) } : { kind: 'line', number: 0 }
  }
  return mapChildren(e, (part) => renumber(part, now))
}

/** The same for a text in plain notation. A text without references comes back as it was written. */
export function renumberText(text: string, now: (number: number) => number | undefined): string {
  if (!text.includes('#')) return text
  const { tree } = parse(text)
  if (!tree) return text
  const before = print(tree)
  const after = print(withoutPlaces(renumber(tree, now)))
  return after === before ? text : after
}
