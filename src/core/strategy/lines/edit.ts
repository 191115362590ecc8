import { fail, listed, ok, problem, type Result } from '../../base'
import { not, parse, print, referredLines, type Expr } from '../../query'
import { renumberText, toRanges } from './references'

/** As much of a line as editing a strategy needs. */
export interface EditLine {
  id: string
  text: string
}

/**
 * After lines were added, moved or taken out, references follow the lines they meant. A line that is new in `after` is
 * written in the new numbers already and stays as it is.
 */
export function renumberLines<T extends EditLine>(before: readonly T[], after: readonly T[]): T[] {
  const now = new Map(after.map((l, i) => [l.id, i + 1]))
  const moved = new Map(before.map((l, i) => [i + 1, now.get(l.id)]))
  if ([...moved].every(([was, is]) => was === is)) return [...after]
  const known = new Set(before.map((l) => l.id))
  return after.map((line) => {
    if (!known.has(line.id)) return line
    const text = renumberText(line.text, (n) => moved.get(n))
    return text === line.text ? line : { ...line, text }
  })
}

const refersTo = (line: EditLine): number[] => {
  const { tree } = parse(line.text)
  return tree ? referredLines(tree) : []
}

const numbers = (list: readonly number[]): string => listed(list.map((n) => `#${n}`))

/**
 * Moves a line to another place (both counted from 0). Refused where it would stand above a line it refers to, or
 * below one that refers to it: lines refer only to earlier lines.
 */
export function moveLine<T extends EditLine>(lines: readonly T[], from: number, to: number): Result<T[]> {
  const line = lines[from]
  if (!line || to < 0 || to >= lines.length)
    return fail(problem('no-line', 'error', 'There is no line to move, or no place to move it to.'))
  const needs = refersTo(line).filter((n) => n - 1 >= to && n - 1 < from)
  if (needs.length)
    return fail(
      problem('move-above', 'error', `Line ${from + 1} refers to ${numbers(needs)} and has to stand below.`),
    )
  const feeds = lines.flatMap((l, i) =>
    i > from && i <= to && refersTo(l).includes(from + 1) ? [i + 1] : [],
  )
  if (feeds.length)
    return fail(
      problem(
        'move-below',
        'error',
        `${numbers(feeds)} refers to line ${from + 1}, which has to stand above.`,
      ),
    )
  const after = [...lines]
  after.splice(from, 1)
  after.splice(to, 0, line)
  return ok(renumberLines(lines, after))
}

/** The lines that would refer to nothing if these were taken out: all that depend on them, however far. */
export function dependsOn(lines: readonly EditLine[], ids: ReadonlySet<string>): number[] {
  const gone = new Set(lines.flatMap((l, i) => (ids.has(l.id) ? [i + 1] : [])))
  const found: number[] = []
  lines.forEach((line, i) => {
    if (gone.has(i + 1) || !refersTo(line).some((n) => gone.has(n))) return
    gone.add(i + 1)
    found.push(i + 1)
  })
  return found
}

/**
 * Takes lines out. Where others depend on them it is refused and these are named, unless `withDependants` takes them
 * out as well.
 */
export function removeLines<T extends EditLine>(
  lines: readonly T[],
  ids: ReadonlySet<string>,
  withDependants = false,
): Result<T[]> {
  const others = dependsOn(lines, ids)
  if (others.length && !withDependants)
    return fail(
      problem(
        'still-needed',
        'error',
        `${numbers(others)} ${others.length === 1 ? 'depends' : 'depend'} on what would be taken out. Take ${others.length === 1 ? 'it' : 'them'} out as well, or change ${others.length === 1 ? 'it' : 'them'} first.`,
      ),
    )
  const gone = new Set([...ids, ...others.map((n) => lines[n - 1]!.id)])
  return ok(
    renumberLines(
      lines,
      lines.filter((l) => !gone.has(l.id)),
    ),
  )
}

/** The text that joins lines by their numbers, as it would be typed: any of them, or all of them. */
export function joinText(mode: 'any' | 'all', chosen: readonly number[]): string {
  const sorted = [...new Set(chosen)].sort((a, b) => a - b)
  const [only] = sorted
  return sorted.length === 1 ? `#${only}` : print({ kind: 'lines', mode, ranges: toRanges(sorted) })
}

/** The first line less the others, in the order chosen. */
export function subtractText(chosen: readonly number[]): string {
  return print(not(...chosen.map((number): Expr => ({ kind: 'line', number }))))
}

/** These lines with all that they need, in order, in numbers of their own. */
export function withNeeded<T extends EditLine>(lines: readonly T[], ids: ReadonlySet<string>): T[] {
  const kept = new Set<number>()
  const open = lines.flatMap((l, i) => (ids.has(l.id) ? [i] : []))
  for (let i = open.pop(); i !== undefined; i = open.pop()) {
    if (kept.has(i)) continue
    kept.add(i)
    for (const n of refersTo(lines[i]!)) if (n >= 1 && n <= i) open.push(n - 1)
  }
  return renumberLines(
    lines,
    lines.filter((_, i) => kept.has(i)),
  )
}

/** Lines put behind others, their references counted on. */
export const appendLines = <T extends EditLine>(before: readonly T[], added: readonly T[]): T[] => [
  ...before,
  ...added.map((l) => ({ ...l, text: renumberText(l.text, (n) => n + before.length) })),
]
