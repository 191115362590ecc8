import { listed } from '../../../base'
import { and, joined, type Expr } from '../../../query'
import type { Part } from '../../tree'
import { fixAt, leftOut, plain, writtenParts } from '../change'
import type { Finding, Fix, Judging, Rule } from '../check'

/** Two concepts that must both be named in OR with each other: one of them is enough then. */
export const orBetweenConcepts: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'or') return []
    const by = byConcept(c, joining)
    const ids = [...by.keys()]
    const essential = ids.map((id) => c.concepts.find((k) => k.id === id)!).filter((k) => k.essential)
    if (essential.length < 2 || mayStandFor(c, ids)) return []
    const fixes = fixesOf(c, joining, by)
    return [
      {
        code: 'or-between-concepts',
        kind: 'form',
        element: 'Boolean and proximity operators',
        lineId: c.lines[joining.line - 1]!.id,
        about: '',
        message: `Line ${joining.line} joins ${listed(essential.map((k) => `${k.letter} ${k.name}`))} with OR: one of them is enough there.`,
        why: 'Concepts that a record must all name are joined with AND; OR joins other words for one of them.',
        fixes,
        owns: [joining],
      },
    ]
  })

function byConcept(c: Judging, joining: Part): Map<string, Part[]> {
  const by = new Map<string, Part[]>()
  for (const p of joining.parts) {
    const own = p.line === joining.line ? c.about.said(p) : c.about.of(p)
    if (own) by.set(own, [...(by.get(own) ?? []), p])
  }
  return by
}

/** Does the plan say that one of these is enough? */
const mayStandFor = (c: Judging, ids: readonly string[]): boolean =>
  (c.alternatives ?? []).some((a) => ids.every((id) => a.conceptIds.includes(id)))

function fixesOf(c: Judging, joining: Part, by: ReadonlyMap<string, Part[]>): Fix[] {
  const written = writtenParts(joining)
  if (!written) return []
  const groups = [...by.values()]
  const stray = groups.filter((g) => g.length === 1).flat()
  const own = joining.parts.every((p) => p.line === joining.line)
  // Among many words of one concept a single word of another has strayed.
  const left = own && stray.length === 1 && joining.parts.length > 2 ? leftOut(joining, stray) : undefined
  if (left) return fixAt(c, joining.line, joining.at, left, `Leave ${plain(stray[0]!.at)} out`)
  const placed = new Set(groups.flat())
  if (placed.size < joining.parts.length) return []
  const anyOf = groups.map((g): Expr =>
    joined(
      'or',
      g.map((p) => written[joining.parts.indexOf(p)]!),
    ),
  )
  return fixAt(c, joining.line, joining.at, and(...anyOf), 'Join the concepts with AND')
}
