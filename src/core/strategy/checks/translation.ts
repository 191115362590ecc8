import { lineRef, numbersIn, referredLines, type Expr } from '../../query'
import { finalLine } from '../lines/keys'
import { conceptsBehind } from '../lines/strands'
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

/** A concept whose lines feed no line that counts: it was written and run, and nothing comes of it. */
export const conceptFeedsNothing: Rule = (c) => {
  const final = finalLine(c.lines)
  if (!final) return []
  const reached = new Set<number>()
  const open = [final.number]
  for (let n = open.pop(); n !== undefined; n = open.pop()) {
    if (reached.has(n)) continue
    reached.add(n)
    const { tree } = c.lines[n - 1]!
    if (tree) open.push(...referredLines(tree).filter((k) => k >= 1 && k < n))
  }
  return c.concepts.flatMap((k): Remark[] => {
    const own = c.lines.filter((l) => l.conceptId === k.id)
    const [first] = own
    if (!first || !k.essential || own.some((l) => reached.has(l.number))) return []
    return [
      {
        code: 'feeds-nothing',
        element: ELEMENT,
        conceptId: k.id,
        about: '',
        message: `${k.letter} ${k.name} has ${own.length === 1 ? `line ${first.number}, and it feeds` : `${own.length} lines, and none feeds`} the last line, which counts.`,
        why: 'What the last line does not ask for was not searched for; join it, or make the concept optional.',
      },
    ]
  })
}

/** What must all hold for a record to be found by an expression. */
function demands(e: Expr): Expr[] {
  if (e.kind === 'and') return e.parts.flatMap(demands)
  if (e.kind === 'not') return demands(e.parts[0]!)
  if (e.kind === 'lines' && e.mode === 'all') return numbersIn(e.ranges).map(lineRef)
  return [e]
}

/** An optional concept that a line asks for together with others: authors often leave it unsaid. */
export const optionalAsked: Rule = (c) => {
  const behind = conceptsBehind(
    c.lines,
    c.concepts.map((k) => k.id),
  )
  /** The one concept that a demand stands for, if it is one. */
  const conceptOf = (demand: Expr): string | undefined => {
    const all = new Set(referredLines(demand).flatMap((n) => behind[n - 1] ?? []))
    return all.size === 1 ? [...all][0] : undefined
  }
  const misses = (demand: Expr, doc: number): boolean => {
    const found = referredLines(demand).flatMap((n) => c.lines[n - 1]?.docs ?? [])
    return found.length > 0 && found.every((docs) => !docs.includes(doc))
  }
  return c.lines.flatMap((line): Remark[] => {
    const asked = line.tree ? demands(line.tree) : []
    if (asked.length < 2) return []
    return c.concepts.flatMap((k): Remark[] => {
      const demand = k.essential ? undefined : asked.find((d) => conceptOf(d) === k.id)
      if (!demand) return []
      const lost = [...c.wanted].filter((doc) => misses(demand, doc)).length
      return [
        {
          code: 'optional-asked',
          element: ELEMENT,
          lineId: line.id,
          about: k.id,
          message: `Line ${line.number} asks for ${k.letter} ${k.name}, which is optional${lost ? `; ${lost} wanted ${lost === 1 ? 'record does' : 'records do'} not name it` : ''}.`,
          why: 'Authors often leave it unsaid in titles and abstracts; asked for, it loses them.',
        },
      ]
    })
  })
}
