import { keptFor } from '../base'
import { numbersIn, parse, type Expr } from '../query'
import type { Line, Review } from '../review'
import { finalLine } from '../strategy'
import { finalRun, searchedIn, searchedUnknown } from './standing'

/**
 * Does everything that a line finds come from a line of one of these concepts? A line of a concept stands for the whole of
 * it, whatever it says; words of no concept stand for none.
 */
export function needsOneOf(lines: readonly Line[], line: Line, concepts: ReadonlySet<string>): boolean {
  const known = new Map<number, boolean>()
  const ofLine = (number: number, before: number): boolean => {
    const at = lines[number - 1]
    if (!at || number > before) return false
    if (at.conceptId !== undefined) return concepts.has(at.conceptId)
    const found = known.get(number)
    if (found !== undefined) return found
    const { tree } = parse(at.text)
    const needs = tree !== undefined && ofPart(tree, number - 1)
    known.set(number, needs)
    return needs
  }
  const ofPart = (e: Expr, before: number): boolean => {
    switch (e.kind) {
      case 'and':
        return e.parts.some((p) => ofPart(p, before))
      case 'or':
        return e.parts.every((p) => ofPart(p, before))
      case 'not':
        return ofPart(e.parts[0]!, before)
      case 'fields':
        return ofPart(e.of, before)
      case 'line':
        return ofLine(e.number, before)
      case 'lines': {
        const all = numbersIn(e.ranges).map((n) => ofLine(n, before))
        return e.mode === 'all' ? all.some(Boolean) : all.every(Boolean)
      }
      default:
        return false
    }
  }
  return ofLine(lines.indexOf(line) + 1, lines.length)
}

/** What was searched with the line that counts: its source, and that line with those it may refer to. */
export interface CountedSearch {
  sourceId: string
  lines: readonly Line[]
  line: Line
}

/**
 * The searches by the line that counts in each source that was searched; undefined where it was not run in one of them, or where
 * of one nobody here knows what it asked.
 */
export const countedSearches = keptFor((review: Review): CountedSearch[] | undefined => {
  const searched = searchedIn(review)
  // What one of them required nobody knows: nothing is told of all of them then.
  if (searchedUnknown(review).length) return undefined
  const all = searched.map(({ id: sourceId }) => {
    const lines = review.strategies[sourceId] ?? []
    const line = finalLine(lines)
    return line && finalRun(review, sourceId) ? { sourceId, lines, line } : undefined
  })
  return all.length && all.every((s) => s !== undefined) ? all : undefined
})
