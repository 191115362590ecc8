import { fixAt, leftOut, plain, writtenParts } from '../change'
import type { Part } from '../../tree'
import type { Finding, Judging, Rule } from '../check'

/** With fewer records that all have it, it may be chance. */
const LEAST = 5

/** A part of an AND that takes nothing away: what the others find has it already. */
export const andAddsNothing: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and' || !joining.docs || joining.docs.length < LEAST) return []
    const idle = joining.parts.find((p) => c.search.without(joining, [p]).length === joining.docs!.length)
    const written = writtenParts(joining)
    if (!idle || !written || mustBeNamed(c, joining, idle)) return []
    const left = leftOut(joining, [idle])
    if (!left) return []
    const name = plain(written[joining.parts.indexOf(idle)]!)
    return [
      {
        code: 'and-adds-nothing',
        kind: 'form',
        element: 'Boolean and proximity operators',
        lineId: c.lines[joining.line - 1]!.id,
        about: name,
        message: `AND ${name} in line ${joining.line} takes nothing away: all that the rest finds has it.`,
        why: 'The same concept may be asked for twice, or one concept may have the words of another in it.',
        gain: { hits: 0, wanted: 0 },
        fixes: fixAt(c, joining.line, joining.at, left, `Leave ${name} out`),
        owns: [joining],
        above: joining,
      },
    ]
  })

/** An essential concept that nothing else asks for is asked for in any case; that all records have it is chance. */
function mustBeNamed(c: Judging, joining: Part, idle: Part): boolean {
  const concept = c.concepts.find((k) => k.id === c.about.of(idle))
  const others = joining.parts.filter((p) => p !== idle)
  return concept?.essential === true && !others.some((p) => c.about.all(p).has(concept.id))
}
