import { hasErrors } from '../../base'
import { inFields, or, parse, print, type Expr, type LimitValue } from '../../query'
import { toRanges } from '../lines/references'

interface PlanConcept {
  id: string
  essential: boolean
}
export interface PlanTerm {
  conceptId: string
  sourceId: string
  kind: 'text' | 'heading' | 'class' | 'named'
  expression: string
  withNarrower: boolean
  mainFocus: boolean
  status: 'proposed' | 'in use' | 'dropped'
}

export interface Plan {
  concepts: readonly PlanConcept[]
  /** Groups of concepts of which one is enough. */
  alternatives?: readonly { conceptIds: readonly string[] }[]
  terms: readonly PlanTerm[]
  limits: readonly LimitValue[]
}

/** What drafting must know of a source. */
export interface DraftSource {
  hasVocabulary: boolean
  hasLimit: (kind: LimitValue['kind']) => boolean
}

export interface DraftLine {
  text: string
  conceptId?: string | undefined
  limits: LimitValue[]
}

/** The plain notation of one term of the grid; undefined where the words of a text term cannot be read. */
export function termExpression(term: PlanTerm): Expr | undefined {
  if (term.kind === 'heading')
    return { kind: 'heading', label: term.expression, below: term.withNarrower, main: term.mainFocus }
  if (term.kind === 'class') return { kind: 'class', code: term.expression, below: term.withNarrower }
  const { tree, problems } = parse(term.expression)
  return hasErrors(problems) ? undefined : tree
}

/**
 * Drafts the lines for one source by the building-block method: for each concept a line of text words in title,
 * abstract and keywords and a line of headings, joined with OR; the essential concepts joined with AND; then the
 * planned limits that the source has, one line each, so that the cost of each is seen. Concepts of which one is enough are
 * joined with OR before. A concept without terms gives no line. If all
 * concepts are optional they are joined all the same, for there is nothing else to ask.
 */
export function draftStrategy(plan: Plan, sourceId: string, source: DraftSource): DraftLine[] {
  const { hasVocabulary, hasLimit } = source
  const lines: DraftLine[] = []
  const last = (): number => lines.length
  const blocks: { id: string; number: number; essential: boolean }[] = []
  for (const concept of plan.concepts) {
    const own = plan.terms.filter((t) => t.conceptId === concept.id && t.status === 'in use')
    const add = (text: string): number => lines.push({ text, conceptId: concept.id, limits: [] })
    const parts: number[] = []
    const all = (kind: PlanTerm['kind']): Expr[] =>
      own.filter((t) => t.kind === kind).flatMap((t) => termExpression(t) ?? [])
    // Names carry their own fields; words are looked for in title, abstract and keywords.
    const words = all('text')
    const said = [...(words.length ? [inFields(['text'], or(...words))] : []), ...all('named')]
    if (said.length) parts.push(add(print(or(...said))))
    const headings = own
      .filter((t) => (t.kind === 'heading' || t.kind === 'class') && t.sourceId === sourceId && hasVocabulary)
      .flatMap((t) => termExpression(t) ?? [])
    if (headings.length) parts.push(add(print(or(...headings))))
    if (parts.length === 2) add(print({ kind: 'lines', mode: 'any', ranges: toRanges(parts) }))
    if (parts.length) blocks.push({ id: concept.id, number: last(), essential: concept.essential })
  }
  const essential = blocks.filter((b) => b.essential)
  const asked = essential.length ? essential : blocks
  // Concepts of which one is enough are joined with OR first, and stand as one where concepts are joined with AND.
  const groups = (plan.alternatives ?? [])
    .map((a) => asked.filter((b) => a.conceptIds.includes(b.id)))
    .filter((g) => g.length > 1)
  const grouped = new Set(groups.flat())
  const alternatives = groups.map((group) => {
    const ranges = toRanges(group.map((b) => b.number))
    return lines.push({ text: print({ kind: 'lines', mode: 'any', ranges }), limits: [] })
  })
  const joined = [...asked.filter((b) => !grouped.has(b)).map((b) => b.number), ...alternatives]
  if (joined.length > 1)
    lines.push({ text: print({ kind: 'lines', mode: 'all', ranges: toRanges(joined) }), limits: [] })
  if (lines.length) {
    const base = joined.length === 1 ? joined[0]! : last()
    plan.limits
      .filter((l) => hasLimit(l.kind))
      .forEach((limit, i) => lines.push({ text: `#${i === 0 ? base : last()}`, limits: [limit] }))
  }
  return lines
}
