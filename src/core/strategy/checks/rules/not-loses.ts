import { plural } from '../../../base'
import { fixAt, leftOut, plain } from '../change'
import type { Finding, Rule } from '../check'
import { gainOf } from '../gain'

/** Of what the line that counts finds; a NOT that takes less away from it, and nothing wanted, is no loss worth a word. */
const WORTH = 0.03
const LEAST = 3

/** A NOT that throws away records that the other lines ask for: those that speak of both. */
export const notLoses: Rule = (c) =>
  [...c.search.all()].flatMap((part): Finding[] => {
    const [first, ...rest] = part.parts
    if (part.kind !== 'not' || !first?.docs || !part.docs || !c.search.reached.has(part.line)) return []
    const gain = gainOf(c, new Map([[part, first.docs]]), part)
    if (!gain) return []
    const all = c.search.root?.docs?.length ?? 0
    if (gain.wanted <= 0 && gain.hits < Math.max(LEAST, WORTH * (all + gain.hits))) return []
    const left = leftOut(part, rest)
    const at = part.at.kind === 'not' ? part.at.parts.slice(1) : []
    const name = at.map((e) => `NOT ${plain(e)}`).join(' ')
    return [
      {
        code: 'not-loses',
        kind: 'gain',
        element: 'Boolean and proximity operators',
        lineId: c.lines[part.line - 1]!.id,
        about: plain(part.at),
        message: `${name} in line ${part.line} throws away ${plural(gain.hits, 'record')} that all the rest asks for${gain.wanted > 0 ? `; ${gain.wanted} of them ${gain.wanted === 1 ? 'is' : 'are'} wanted` : ''}.`,
        why: 'x NOT y loses every record that speaks of both; ask for what is wanted instead.',
        gain: { hits: gain.hits, wanted: gain.wanted },
        fixes: left ? fixAt(c, part.line, part.at, left, `Leave ${name} out`) : [],
        owns: [part],
      },
    ]
  })
