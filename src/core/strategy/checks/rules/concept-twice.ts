import { choicesOf, demandsOf, type Part } from '../../tree'
import { fixAt, leftOut, plain, writtenParts } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOf } from '../gain'

/** A block and one of its own parts, asked for at once: all that was gathered in the block beside that part is lost. */
export const conceptTwice: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and') return []
    const written = writtenParts(joining)
    return joining.parts.flatMap((part, i): Finding[] => {
      const block = blockBeside(joining, part)
      const left = block && leftOut(joining, [part])
      if (!block || !left || !written) return []
      const name = plain(written[i]!)
      const gain = gainWithout(c, joining, part)
      return [
        {
          code: 'concept-twice',
          kind: 'form',
          element: 'Boolean and proximity operators',
          lineId: c.lines[joining.line - 1]!.id,
          about: name,
          message: `Line ${joining.line} asks for ${name} beside the block of line ${block.line}, which has it already: what else was gathered there is lost.`,
          why: 'A part of a block that is asked for once more empties the block of all the rest.',
          ...(gain ? { gain } : {}),
          fixes: fixAt(c, joining.line, joining.at, left, `Leave ${name} out`),
          owns: [joining],
        },
      ]
    })
  })

/** The OR that is demanded beside a part and has it among its own choices. */
const blockBeside = (joining: Part, part: Part): Part | undefined =>
  joining.parts
    .filter((p) => p !== part)
    .flatMap(demandsOf)
    .find((demand) => demand.kind === 'or' && (demand.parts.includes(part) || isAmong(demand, part)))

const isAmong = (block: Part, part: Part): boolean => {
  const choices = new Set(choicesOf(block))
  return choicesOf(part).every((p) => choices.has(p))
}

function gainWithout(c: Judging, joining: Part, part: Part): Finding['gain'] {
  if (!joining.docs) return undefined
  const gain = gainOf(c, new Map([[joining, c.search.without(joining, [part])]]), joining)
  return gain && { hits: gain.hits, wanted: gain.wanted }
}
