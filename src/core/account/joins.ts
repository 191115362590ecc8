import { numbersIn, parse, print, referredLines, withoutPlaces, type Expr } from '../query'
import type { Line } from '../review'
import { conceptsBehind } from '../strategy'
import { joiningLine } from './runs'

/**
 * How the lines of a strategy were joined, read from what they say. `blocks`: concepts joined with AND, each group of
 * several being alternatives. `other`: anything else, as it is written. Undefined where nothing was joined.
 */
export type Join = { kind: 'blocks'; groups: string[][] } | { kind: 'other'; text: string } | undefined

export function joinOf(lines: readonly Line[], concepts: readonly string[]): Join {
  const joining = joiningLine(lines)
  const tree = joining && parse(joining.text).tree
  if (!tree || !referredLines(tree).length) return undefined
  const behind = conceptsBehind(lines, concepts)
  const parts = partsOf(tree, 'and')
  const groups = parts.map((part) => alternativesOf(part, lines, behind))
  const flat = groups.flatMap((g) => g ?? [])
  const blocks =
    groups.every((g) => g !== undefined) && new Set(flat).size === flat.length && parts.length > 1
  if (!blocks) return { kind: 'other', text: print(withoutPlaces(tree)) }
  return { kind: 'blocks', groups: groups.map((g) => g!) }
}

/** The parts of a join by one operator, lists of lines spelled out. */
function partsOf(e: Expr, how: 'and' | 'or'): Expr[] {
  if (e.kind === how) return e.parts.flatMap((p) => partsOf(p, how))
  if (e.kind === 'lines' && e.mode === (how === 'and' ? 'all' : 'any'))
    return numbersIn(e.ranges).map((number): Expr => ({ kind: 'line', number }))
  return [e]
}

/** The concepts of which a part asks for one; undefined where it is made of anything but whole concepts. */
function alternativesOf(
  e: Expr,
  lines: readonly Line[],
  behind: readonly (readonly string[])[],
): string[] | undefined {
  const found: string[] = []
  for (const part of partsOf(e, 'or')) {
    if (part.kind !== 'line') return undefined
    const line = lines[part.number - 1]
    const own = behind[part.number - 1] ?? []
    if (line?.conceptId && own.length === 1) found.push(own[0]!)
    else if (line && own.length > 1 && !line.conceptId) {
      // A line of its own that joins alternatives with OR.
      const tree = parse(line.text).tree
      const inner = tree && partsOf(tree, 'or').length > 1 ? alternativesOf(tree, lines, behind) : undefined
      if (!inner || line.limits.length) return undefined
      found.push(...inner)
    } else return undefined
  }
  return [...new Set(found)]
}
