import type { Span } from '../../base'
import { lex, mapChildren, MOST_IN_RANGE, numbersIn, type Expr, type Lines, type Mark } from '../../query'

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
    const numbers = numbersIn(e.ranges)
    if (numbers.every((n) => now(n) === n)) return e
    const kept = numbers.flatMap((n) => now(n) ?? [])
    return kept.length ? { ...e, ranges: toRanges(kept) } : { kind: 'line', number: 0 }
  }
  return mapChildren(e, (part) => renumber(part, now))
}

/**
 * The same for a text in plain notation. Only the numbers are put in place of others; everything else, understood or
 * not, stays letter for letter, and so does a text in which no number changes.
 */
export function renumberText(text: string, now: (number: number) => number | undefined): string {
  if (!text.includes('#')) return text
  const changes: Change[] = []
  for (const mark of lex(text).marks) {
    if (mark.kind === 'line') {
      const to = now(mark.number) ?? 0
      if (to !== mark.number) changes.push({ at: mark.at, text: `#${to}` })
    }
    if (mark.kind === 'lines') changes.push(...inList(text, mark, now))
  }
  return splice(text, changes)
}

/** A stretch of a text, and what is to stand there. */
export interface Change {
  at: Span
  text: string
}

/** The text with these stretches changed, which must not overlap; everything else is kept. */
export function splice(text: string, changes: readonly Change[]): string {
  let out = ''
  let from = 0
  for (const { at, text: put } of [...changes].sort((a, b) => a.at[0] - b.at[0])) {
    out += text.slice(from, at[0]) + put
    from = at[1]
  }
  return out + text.slice(from)
}

const ITEM = /^(\s*)#?\s*(\d+)\s*(?:[-–]\s*#?\s*(\d+))?(\s*)$/

/** Changes in a list of lines, `any(#1-#3, #5)`. Items that are no lines stay as they are. */
function inList(
  text: string,
  mark: Extract<Mark, { kind: 'lines' }>,
  now: (number: number) => number | undefined,
): Change[] {
  let offset = mark.inside[0]
  const items = text
    .slice(...mark.inside)
    .split(',')
    .map((item) => {
      const at: Span = [offset, offset + item.length]
      offset += item.length + 1
      const found = ITEM.exec(item)
      const [from, to] = [Number(found?.[2]), Number(found?.[3] ?? found?.[2])]
      const sound = found !== null && from >= 1 && to >= from && to - from <= MOST_IN_RANGE
      return { at, item, numbers: sound ? numbersIn([{ from, to }]) : undefined }
    })
  const known = items.flatMap((i) => i.numbers ?? [])
  if (known.every((n) => now(n) === n)) return []
  if (items.every((i) => i.numbers)) {
    const kept = known.flatMap((n) => now(n) ?? [])
    return [{ at: mark.inside, text: kept.length ? rangesText(toRanges(kept)) : '#0' }]
  }
  return items.flatMap(({ at, item, numbers }): Change[] => {
    if (!numbers || numbers.every((n) => now(n) === n)) return []
    const [lead = '', tail = ''] = [/^\s*/.exec(item)?.[0], /\s*$/.exec(item)?.[0]]
    const kept = numbers.flatMap((n) => now(n) ?? [])
    return [{ at, text: lead + (kept.length ? rangesText(toRanges(kept)) : '#0') + tail }]
  })
}

const rangesText = (ranges: Lines['ranges']): string =>
  ranges.map((r) => (r.from === r.to ? `#${r.from}` : `#${r.from}-#${r.to}`)).join(', ')
