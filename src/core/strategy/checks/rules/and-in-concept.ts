import { listed, plural } from '../../../base'
import { or } from '../../../query'
import { unite } from '../../../engine'
import type { Part } from '../../tree'
import { fixAt, plain, writtenParts } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOf, measured } from '../gain'

/** The parts of an AND that are of one concept: what a reader would join with OR. */
function ofOneConcept(c: Judging, joining: Part): { concept: string; parts: Part[] } | undefined {
  const by = new Map<string, Part[]>()
  for (const p of joining.parts) {
    // Within a line two ideas of one concept may be asked for together; only planned terms are sure to be other words for one.
    const own = joining.at.kind === 'lines' || p.line !== joining.line ? c.about.of(p) : c.about.said(p)
    if (own) by.set(own, [...(by.get(own) ?? []), p])
  }
  for (const [concept, parts] of by) if (parts.length > 1) return { concept, parts }
  return undefined
}

/** Other words for one concept, or its words and its headings, joined with AND: only records that say it all are found. */
export const andInConcept: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and') return []
    const found = ofOneConcept(c, joining)
    const written = writtenParts(joining)
    if (!found || !written) return []
    const { parts } = found
    const concept = c.concepts.find((k) => k.id === found.concept)!
    const own = parts.map((p) => written[joining.parts.indexOf(p)]!)
    const all = parts.every((p) => p.docs)
    const anyOf = all ? parts.map((p) => p.docs!).reduce(unite) : undefined
    const rest = joining.parts.filter((p) => !parts.includes(p))
    const gain =
      anyOf && !rest.length ? gainOf(c, new Map([[joining, anyOf]]), c.search.blockOf(joining)) : undefined
    const names = own.map(plain)
    const kept = joining.parts.flatMap((p, i) => (parts.includes(p) ? [] : [written[i]!]))
    const by = kept.length ? { kind: 'and' as const, parts: [or(...own), ...kept] } : or(...own)
    return [
      {
        code: 'and-in-concept',
        kind: 'form',
        element: 'Boolean and proximity operators',
        lineId: c.lines[joining.line - 1]!.id,
        about: names.join(' AND '),
        message: `Line ${joining.line} asks for ${listed(names)} all at once, and they are words for one concept, ${concept.letter} ${concept.name}.`,
        why: `Other words for one thing are joined with OR; AND finds only records that say it in all these ways${gain ? `, here ${plural(joining.docs!.length, 'record')}` : ''}.`,
        ...measured(gain),
        fixes: fixAt(c, joining.line, joining.at, by, 'Join them with OR'),
        owns: [joining],
      },
    ]
  })
