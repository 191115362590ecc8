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
    if (!idle || !written) return []
    const part = partOfBlock(c, joining, idle)
    const left = leftOut(joining, [part ?? idle])
    if (!left) return []
    const name = plain(written[joining.parts.indexOf(part ?? idle)]!)
    if (part)
      return [
        {
          code: 'concept-twice',
          kind: 'form',
          element: 'Boolean and proximity operators',
          lineId: c.lines[joining.line - 1]!.id,
          about: name,
          message: `Line ${joining.line} asks for ${name} beside ${plain(written[joining.parts.indexOf(idle)]!)}, which has it already: what else was gathered there is lost.`,
          why: 'What is part of a block and is asked for once more empties the block of all the rest.',
          fixes: fixAt(c, joining.line, joining.at, left, `Leave ${name} out`),
          owns: [joining],
        },
      ]
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
      },
    ]
  })

/** The part of an AND that is of the same concept as an idle one, and within it: then that one is too much, and not the block. */
function partOfBlock(c: Judging, joining: Part, idle: Part): Part | undefined {
  const concept = c.about.of(idle)
  const others = joining.parts.filter((p) => p !== idle && p.docs!.length < idle.docs!.length)
  return concept === undefined ? undefined : others.find((p) => c.about.of(p) === concept)
}
