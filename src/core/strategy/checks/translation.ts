import { referredLines } from '../../query'
import { finalLine } from '../keys'
import { conceptsBehind } from '../strands'
import type { CheckContext, Remark, Rule } from './check'

const ELEMENT = 'Translation of the question'

const ownTerms = (c: CheckContext, conceptId: string) =>
  c.terms.filter((t) => t.conceptId === conceptId && t.status === 'in use')

/** A concept that is asked for but has no text words: the newest and the badly indexed records are missed. */
export const conceptWithoutWords: Rule = (c) =>
  c.concepts
    .filter((k) => k.essential && !ownTerms(c, k.id).some((t) => t.kind === 'text' || t.kind === 'named'))
    .map((k): Remark => ({
      code: 'no-words',
      element: ELEMENT,
      conceptId: k.id,
      about: '',
      message: `${k.letter} ${k.name} has no text words.`,
      why: 'The newest records, and those that were badly indexed, are found by words alone.',
    }))

/** A concept without a heading although the source has a vocabulary: records that say it otherwise are missed. */
export const conceptWithoutHeading: Rule = (c) =>
  c.thesaurus
    ? c.concepts
        .filter(
          (k) =>
            k.essential &&
            !ownTerms(c, k.id).some(
              (t) => (t.kind === 'heading' || t.kind === 'class') && t.sourceId === c.sourceId,
            ),
        )
        .map((k): Remark => ({
          code: 'no-heading',
          element: ELEMENT,
          conceptId: k.id,
          about: '',
          message: `${k.letter} ${k.name} has no heading, and ${c.profile.name} has a vocabulary.`,
          why: 'Headings find records whose authors use other words.',
        }))
    : []

/** An essential concept of the plan that no line has. */
export const conceptWithoutLine: Rule = (c) =>
  c.lines.length
    ? c.concepts
        .filter((k) => k.essential && !c.lines.some((l) => l.conceptId === k.id))
        .map((k): Remark => ({
          code: 'no-line',
          element: ELEMENT,
          conceptId: k.id,
          about: '',
          message: `${k.letter} ${k.name} is essential, and no line is its own.`,
          why: 'What is planned to be asked for has to stand in a line; draft anew, or add one.',
        }))
    : []

/** An optional concept that is asked for in the last line: authors often leave it unsaid. */
export const optionalAsked: Rule = (c) => {
  const last = finalLine(c.lines)
  if (!last) return []
  const optional = c.concepts.filter((k) => !k.essential).map((k) => k.id)
  const joins = c.lines.filter(
    (l) => l.tree?.kind === 'and' || (l.tree?.kind === 'lines' && l.tree.mode === 'all'),
  )
  const behind = conceptsBehind(
    c.lines,
    c.concepts.map((k) => k.id),
  )
  return joins.flatMap((line): Remark[] => {
    const direct = line.tree ? referredLines(line.tree) : []
    return c.concepts
      .filter(
        (k) =>
          optional.includes(k.id) &&
          direct.some((n) => behind[n - 1]?.length === 1 && behind[n - 1]![0] === k.id),
      )
      .map((k) => {
        const lost = [...c.wanted].filter((d) => {
          const own = c.lines[direct.find((n) => behind[n - 1]?.[0] === k.id)! - 1]?.docs
          return own && !own.includes(d)
        }).length
        return {
          code: 'optional-asked',
          element: ELEMENT,
          lineId: line.id,
          about: k.id,
          message: `Line ${line.number} asks for ${k.letter} ${k.name}, which is optional${lost ? `; ${lost} wanted ${lost === 1 ? 'record does' : 'records do'} not name it` : ''}.`,
          why: 'Authors often leave it unsaid in titles and abstracts; asked for, it loses them.',
        }
      })
  })
}
