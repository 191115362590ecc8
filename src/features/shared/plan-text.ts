import { foldLabel } from '@/core/base'
import { inFields, or, print, type Expr } from '@/core/query'
import type { Review } from '@/core/review'
import { termExpression } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import type { ConceptTerms } from '@/workers'

const inUse = (review: Review, conceptId: string) =>
  review.terms.filter((t) => t.conceptId === conceptId && t.status === 'in use')

const wordsOf = (review: Review, conceptId: string): Expr[] => {
  const words = inUse(review, conceptId)
    .filter((t) => t.kind === 'text')
    .flatMap((t) => termExpression(t) ?? [])
  return words.length ? [inFields(['text'], or(...words))] : []
}

/** What the other concepts of the plan find, by their text words; empty where they have none. */
export function restOfPlan(review: Review, conceptId: string): string {
  const others = review.concepts.filter((c) => c.id !== conceptId)
  const essential = others.filter((c) => c.essential)
  const blocks = (essential.length ? essential : others).flatMap((c) => wordsOf(review, c.id))
  return blocks.length ? print(or(...blocks)) : ''
}

/** Every concept's words and headings, as one expression for each stand-in. */
export function conceptTerms(review: Review, sources: readonly SourceInfo[]): ConceptTerms[] {
  return review.concepts.map((c) => {
    const text: Record<string, string> = {}
    for (const { source, standin } of sources) {
      if (!standin) continue
      const headings = inUse(review, c.id)
        .filter((t) => t.sourceId === source.id && (t.kind === 'heading' || t.kind === 'class'))
        .flatMap((t) => termExpression(t) ?? [])
      const all = [...wordsOf(review, c.id), ...headings]
      text[standin.id] = all.length ? print(or(...all)) : ''
    }
    const names = [c.name, ...inUse(review, c.id).map((t) => t.expression)]
    const words = names.flatMap((n) => foldLabel(n).split(' ')).filter((w) => w.length > 3)
    return { id: c.id, text, words: [...new Set(words)] }
  })
}
