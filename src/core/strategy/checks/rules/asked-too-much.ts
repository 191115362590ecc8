import { demandsOf, type Part } from '../../tree'
import { fixAt, leftOut, plain, writtenParts } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOf, moreWords, measured } from '../gain'

const ELEMENT = 'Translation of the question'

/** An optional concept that is asked for together with others: authors often leave it unsaid. */
export const optionalAsked: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and' || !c.search.reached.has(joining.line)) return []
    const written = writtenParts(joining)
    return joining.parts.flatMap((part, i): Finding[] => {
      const concept = c.concepts.find((k) => k.id === c.about.of(part))
      const left = leftOut(joining, [part])
      if (!concept || concept.essential || !left || !written) return []
      const others = joining.parts.filter((p) => p !== part)
      if (others.every((p) => c.about.of(p) === concept.id)) return []
      const gain = joining.docs
        ? gainOf(c, new Map([[joining, c.search.without(joining, [part])]]), joining)
        : undefined
      const lost = gain?.wanted ?? 0
      const asking = [...c.search.all()].filter((p) => p.kind === 'and' && p.line === joining.line)
      const once = asking.flatMap((p) => p.parts).filter((p) => c.about.of(p) === concept.id).length === 1
      return [
        {
          code: 'optional-asked',
          kind: 'form',
          element: ELEMENT,
          lineId: c.lines[joining.line - 1]!.id,
          about: concept.id,
          message: `Line ${joining.line} asks for ${concept.letter} ${concept.name}, which is optional${lost > 0 ? `; ${lost} wanted ${lost === 1 ? 'record does' : 'records do'} not name it` : ''}.`,
          why: 'Authors often leave it unsaid in titles and abstracts; asked for, it loses them.',
          ...measured(gain),
          // Asked for more than once in a line, leaving one out would not be enough.
          fixes: once ? fixAt(c, joining.line, joining.at, left, `Do not ask for ${plain(written[i]!)}`) : [],
        },
      ]
    })
  })

/** More concepts than this in one AND leave hardly anything (common practice). */
const MOST_ASKED = 4

/** More ideas asked for at once than records name. */
export const manyAsked: Rule = (c) => {
  const { root } = c.search
  const n = root ? conceptsAsked(c, root) : 0
  const joining = root && n > MOST_ASKED ? andOf(c, root) : undefined
  if (!joining) return []
  const written = writtenParts(joining)
  const best = joining.parts
    .flatMap((part, i) => {
      const gain = joining.docs
        ? gainOf(c, new Map([[joining, c.search.without(joining, [part])]]), joining)
        : undefined
      return gain && written ? [{ part, name: plain(written[i]!), gain }] : []
    })
    .sort((a, b) => b.gain.wanted - a.gain.wanted || b.gain.hits - a.gain.hits)[0]
  const left = best && leftOut(joining, [best.part])
  return [
    {
      code: 'many-asked',
      kind: 'form',
      element: ELEMENT,
      lineId: c.lines[joining.line - 1]!.id,
      about: '',
      message: `Line ${joining.line} asks for ${n} concepts at once${best && best.gain.hits > 0 ? `; without ${best.name} it finds ${moreWords(best.gain)}` : ''}.`,
      why: `Few records name more than ${MOST_ASKED}: ask for the two or three that matter, and read for the others.`,
      ...(best ? { gain: { hits: best.gain.hits, wanted: best.gain.wanted } } : {}),
      fixes: left ? fixAt(c, joining.line, joining.at, left, `Leave ${best.name} out`) : [],
      owns: [joining],
    },
  ]
}

/** How many things a part asks for: planned terms of one concept are one, and all else is one each. */
function conceptsAsked(c: Judging, root: Part): number {
  const about = demandsOf(root).map((d) => c.about.said(d) ?? d)
  return new Set(about).size
}

/** The AND that asks for most of it. */
const andOf = (c: Judging, root: Part): Part | undefined =>
  [...c.search.all()]
    .filter((p) => p.kind === 'and' && c.search.reached.has(p.line))
    .sort((a, b) => demandsOf(b).length - demandsOf(a).length || (a === root ? -1 : 1))[0]
