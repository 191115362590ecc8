import type { DocSet } from '../../engine'
import type { Loss } from '../../profile'
import { inFields, type Expr, type Field, type LimitValue } from '../../query'

/** One part of the search that was built: what joins others, a limit on what stands below it, or a leaf. */
export interface Part {
  kind: 'or' | 'and' | 'not' | 'limit' | 'leaf'
  /** The number of the line that says it. */
  line: number
  /** What stands there: the very node of the line’s tree, so that a change can be put in its place. A limit has its line’s. */
  at: Expr
  /** The fields in which it is asked for; undefined where none are named. */
  fields: readonly Field[] | undefined
  /** What it is made of; a line that is referred to stands here with its own root, however many refer to it. */
  parts: readonly Part[]
  /** What it finds as it is sent; undefined where the records lie elsewhere. */
  docs: DocSet | undefined
  /** What the source cannot say of a leaf. */
  losses: readonly Loss[]
  /** Of a limit. */
  limit?: LimitValue
  /** A line that finds otherwise than its parts do together: it is judged whole. */
  whole?: true
}

/** What a part asks for, with the fields that hold for it. */
export const saidBy = ({ at, fields }: Pick<Part, 'at' | 'fields'>): Expr =>
  fields && at.kind !== 'fields' ? inFields([...fields], at) : at

/** All parts of a part, itself first, each once. */
export function* partsWithin(part: Part, seen = new Set<Part>()): Generator<Part> {
  if (seen.has(part)) return
  seen.add(part)
  yield part
  for (const p of part.parts) yield* partsWithin(p, seen)
}

/** The leaves of a part, each once. */
export const leavesOf = (part: Part): Part[] => [...partsWithin(part)].filter((p) => p.kind === 'leaf')

/** What stands behind limits: the part that is limited. */
export function unlimited(part: Part): Part {
  let inner = part
  while (inner.kind === 'limit') inner = inner.parts[0]!
  return inner
}

/** More than so many parts are each told once: lines that are built of each other would come to any number of them. */
const MANY = 500
const bounded = (parts: Part[]): Part[] => (parts.length > MANY ? [...new Set(parts)] : parts)
/** What was found of a part is kept with it: it may stand in very many ways to the root. */
const keptOf = (find: (part: Part) => Part[]): ((part: Part) => Part[]) => {
  const kept = new WeakMap<Part, Part[]>()
  return (part) => {
    const known = kept.get(part) ?? bounded(find(part))
    kept.set(part, known)
    return known
  }
}

/** The parts that must all find a record for this one to find it, limits looked through; one that is no AND stands alone. */
export const demandsOf: (part: Part) => Part[] = keptOf((part) => {
  const inner = unlimited(part)
  if (inner.kind === 'and') return inner.parts.flatMap(demandsOf)
  if (inner.kind === 'not') return demandsOf(inner.parts[0]!)
  return [inner]
})

/** The parts of which one is enough, ORs within ORs opened. */
export const choicesOf: (part: Part) => Part[] = keptOf((part) =>
  part.kind === 'or' ? part.parts.flatMap(choicesOf) : [part],
)
