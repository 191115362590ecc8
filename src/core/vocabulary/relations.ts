import { problem, type Problem } from '../base'
import type { Heading } from './heading'

/** One stated relation between two headings that are both there. */
export interface Link {
  from: string
  kind: 'broader' | 'narrower' | 'related'
  to: string
}

/**
 * Sets broader, narrower and related both ways (reciprocity, ISO 25964-1), changing `headings` in place. What would
 * put a heading below itself is left out and named; so is a related heading that stands above or below.
 */
export function relate(
  headings: ReadonlyMap<string, Heading>,
  links: readonly Link[],
  problems: Problem[],
): void {
  const above = new Map<string, Set<string>>([...headings.keys()].map((id) => [id, new Set()]))
  const beside: [string, string][] = []
  for (const { from, kind, to } of links) {
    if (kind === 'broader') above.get(from)!.add(to)
    else if (kind === 'narrower') above.get(to)!.add(from)
    else beside.push([from, to])
  }
  cutRings(above, headings, problems)
  for (const [id, parents] of above)
    for (const parent of parents) {
      headings.get(id)!.broader.push(parent)
      headings.get(parent)!.narrower.push(id)
    }
  const isAbove = isAboveIn(above)
  for (const [a, b] of beside) {
    if (a === b || isAbove(b, a) || isAbove(a, b)) {
      const message = `${nameOf(headings, a)} and ${nameOf(headings, b)} are said to be related, but one is above the other; the hierarchy is kept.`
      problems.push(problem('S27', 'warning', message, a))
      continue
    }
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const { related } = headings.get(from)!
      if (!related.includes(to)) related.push(to)
    }
  }
}

const nameOf = (headings: ReadonlyMap<string, Heading>, id: string): string =>
  `"${headings.get(id)?.label ?? id}"`

/**
 * Does one heading stand above another? `above` holds no ring. Along first parents the hierarchy is a forest, in which a
 * number when a heading is entered and one when it is left answer at once; only from headings with further parents is
 * there more to look for. To keep all that stands above each would take memory that grows with the square of its depth.
 */
function isAboveIn(above: ReadonlyMap<string, ReadonlySet<string>>): (high: string, low: string) => boolean {
  const firstOf = new Map<string, string>()
  const below = new Map<string, string[]>()
  const tops: string[] = []
  for (const [id, parents] of above) {
    const [first] = parents
    if (first === undefined) tops.push(id)
    else {
      firstOf.set(id, first)
      const own = below.get(first)
      if (own) own.push(id)
      else below.set(first, [id])
    }
  }
  const entered = new Map<string, number>()
  const left = new Map<string, number>()
  // The nearest heading, itself or above along first parents, that has further parents.
  const gates = new Map<string, string>()
  let at = 0
  const open = tops.map((id) => ({ id, next: 0 }))
  for (let top = open.at(-1); top; top = open.at(-1)) {
    const { id } = top
    if (top.next === 0) {
      entered.set(id, at++)
      const gate = above.get(id)!.size > 1 ? id : gates.get(firstOf.get(id) ?? '')
      if (gate !== undefined) gates.set(id, gate)
    }
    const child = below.get(id)?.[top.next++]
    if (child !== undefined) open.push({ id: child, next: 0 })
    else {
      left.set(id, at)
      open.pop()
    }
  }
  const inForest = (high: string, low: string): boolean =>
    entered.get(high)! < entered.get(low)! && left.get(high)! >= left.get(low)!
  return (high, low) => {
    const seen = new Set<string>()
    const from = [low]
    for (let next = from.pop(); next !== undefined; next = from.pop()) {
      if (inForest(high, next)) return true
      for (let gate = gates.get(next); gate !== undefined && !seen.has(gate);) {
        seen.add(gate)
        for (const parent of [...above.get(gate)!].slice(1)) {
          if (parent === high) return true
          from.push(parent)
        }
        const first = firstOf.get(gate)
        gate = first === undefined ? undefined : gates.get(first)
      }
    }
    return false
  }
}

/** Takes out, without recursion, every relation that leads from a heading back to itself. */
function cutRings(
  above: Map<string, Set<string>>,
  headings: ReadonlyMap<string, Heading>,
  problems: Problem[],
): void {
  const state = new Map<string, 'open' | 'done'>()
  for (const start of above.keys()) {
    if (state.has(start)) continue
    const path: { id: string; rest: string[] }[] = [{ id: start, rest: [...above.get(start)!] }]
    state.set(start, 'open')
    while (path.length) {
      const top = path[path.length - 1]!
      const next = top.rest.pop()
      if (next === undefined) {
        state.set(top.id, 'done')
        path.pop()
      } else if (state.get(next) === 'open') {
        above.get(top.id)!.delete(next)
        const message = `${nameOf(headings, top.id)} is below itself by way of ${nameOf(headings, next)}; that relation is left out.`
        problems.push(problem('ring', 'warning', message, top.id))
      } else if (!state.has(next)) {
        state.set(next, 'open')
        path.push({ id: next, rest: [...above.get(next)!] })
      }
    }
  }
}
