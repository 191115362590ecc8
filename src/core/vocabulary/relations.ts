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
  const ancestors = ancestorsIn(above)
  for (const [a, b] of beside) {
    if (a === b || ancestors(a).has(b) || ancestors(b).has(a)) {
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

/** All headings above one, found once for each; `above` holds no ring. */
function ancestorsIn(above: ReadonlyMap<string, ReadonlySet<string>>): (id: string) => ReadonlySet<string> {
  const known = new Map<string, Set<string>>()
  return (id) => {
    const done = known.get(id)
    if (done) return done
    const found = new Set<string>()
    const open = [id]
    for (let next = open.pop(); next !== undefined; next = open.pop())
      for (const parent of above.get(next) ?? [])
        if (!found.has(parent)) {
          found.add(parent)
          open.push(parent)
        }
    known.set(id, found)
    return found
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
