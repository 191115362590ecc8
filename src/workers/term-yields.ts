import { intersect, uniteAll, type DocSet } from '@/core/engine'
import { inFields, type Expr } from '@/core/query'
import { termExpression, termYields, type PlanTerm, type TermYield } from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { JudgedPlan } from './judge-desk'

/** A planned term with what it finds as it is sent. */
export interface FoundTerm {
  id: string
  conceptId: string
  docs: DocSet
}

/** The terms in use that a source is asked for. */
export const inUse = (plan: JudgedPlan, planSource: string) =>
  plan.terms.filter((t) => t.status === 'in use' && (t.sourceId === 'all' || t.sourceId === planSource))

/** A term as it is asked for: words in title, abstract and keywords. Undefined where it cannot be read. */
export function expressionOf(term: PlanTerm): Expr | undefined {
  const e = termExpression(term)
  return e && term.kind === 'text' ? inFields(['text'], e) : e
}

/** What each term brings within its concept, and near what the other essential concepts find. */
export function yieldsOf(
  source: OpenStandin,
  plan: JudgedPlan,
  terms: readonly FoundTerm[],
  ruled: { in: ReadonlySet<number>; out: ReadonlySet<number> },
): TermYield[] {
  const blocks = new Map<string, DocSet>()
  for (const c of plan.concepts)
    blocks.set(
      c.id,
      uniteAll(
        terms.filter((t) => t.conceptId === c.id).map((t) => t.docs),
        source.records.length,
      ),
    )
  const near = new Map<string, DocSet>()
  for (const c of plan.concepts) {
    const others = plan.concepts.filter((o) => o.id !== c.id && o.essential && blocks.get(o.id)!.length)
    const [first, ...rest] = others.map((o) => blocks.get(o.id)!)
    if (first) near.set(c.id, rest.reduce<DocSet>(intersect, first))
  }
  return termYields(terms, source.records.length, near, ruled)
}
