import { EMPTY, intersect, subtract, uniteAll, type DocSet } from '../../engine'
import type { Part } from './part'

/** What parts find together. Nothing joined finds nothing. */
export function combined(kind: Part['kind'], docs: readonly DocSet[], size: number): DocSet {
  const [first = EMPTY, ...rest] = docs
  if (kind === 'or') return rest.length ? uniteAll([...docs], size) : first
  return rest.reduce<DocSet>(kind === 'not' ? subtract : intersect, first)
}

/** How many parts of an OR find each of its records; counted once for a part, for each of its parts is asked after. */
const counts = new WeakMap<Part, Map<number, number>>()

function countsOf(part: Part): Map<number, number> {
  let known = counts.get(part)
  if (!known) {
    counts.set(part, (known = new Map()))
    for (const p of part.parts) for (const d of p.docs!) known.set(d, (known.get(d) ?? 0) + 1)
  }
  return known
}

/** What an OR still finds when one of its parts is gone. */
export function withoutPart(part: Part, gone: Part): DocSet {
  const times = countsOf(part)
  const own = new Set(gone.docs)
  return part.docs!.filter((d) => !own.has(d) || times.get(d)! > 1)
}
