import { foldLabel } from '@/core/base'
import { evaluate, intersect } from '@/core/engine'
import { inFields, or, phrase, print, word, type Expr, type LimitValue } from '@/core/query'
import { draftStrategy, renumberLines, termExpression, type PlanTerm } from '@/core/strategy'
import { TOPICS } from '@/standins/corpus/corpus'
import type { Item, Topic } from '@/standins/corpus/topic'
import type { OpenStandin } from '@/standins'
import type { Judged, JudgedPlan, PlannedLine } from '../judge-desk'

/** Stand-ins with a vocabulary, and with lines. */
export const INDEXES = ['fernhollow', 'girder', 'mindmere'] as const
export type IndexId = (typeof INDEXES)[number]

export const topicNamed = (id: string): Topic => TOPICS.find((t) => t.id === id)!

/** A name as it is searched. */
export const saidAs = (text: string): Expr => {
  const words = foldLabel(text).split(' ')
  return words.length === 1 ? word(words[0]!) : phrase(...words)
}

const LIMIT: LimitValue = { kind: 'years', from: 2012, to: 2026 }

/**
 * The plan of somebody who knows a topic as its own grammar does: what varies, what comes of it, and the setting, which need not
 * be named. Words and headings are those of its items, as far as the source has them.
 */
export function planOf(topic: Topic, source: OpenStandin, id: IndexId): JudgedPlan {
  const terms: JudgedPlan['terms'] = []
  const put = (conceptId: string, kind: PlanTerm['kind'], expression: string): void => {
    const e = kind === 'heading' ? undefined : saidAs(expression)
    const text = e ? print(e) : expression
    const known = terms.some((t) => t.kind === kind && t.expression === text)
    const finds =
      kind === 'heading' ? source.thesaurus?.byLabel(expression) : evaluate(source.index, e!).docs.length
    if (known || !finds) return
    const withNarrower = kind === 'heading' && source.thesaurus!.byLabel(expression)!.narrower.length > 0
    terms.push({
      id: `t${terms.length}`,
      conceptId,
      sourceId: kind === 'heading' ? 'mine' : 'all',
      kind,
      expression: text,
      withNarrower,
      mainFocus: false,
      status: 'in use',
    })
  }
  const side = (conceptId: string, items: readonly Item[], not: ReadonlySet<string>): void => {
    for (const item of items.slice(0, 4)) {
      for (const key of item.keywords.slice(0, 2)) if (!not.has(key)) put(conceptId, 'text', key)
      for (const label of item.headings[id].slice(0, 1)) if (!not.has(label)) put(conceptId, 'heading', label)
    }
  }
  // What both sides are called says nothing of either.
  const names = (items: readonly Item[]) => items.flatMap((i) => [...i.keywords, ...i.headings[id]])
  const both = new Set(names(topic.exposures).filter((n) => names(topic.outcomes).includes(n)))
  side('b', topic.exposures, both)
  side('c', topic.outcomes, both)
  put('a', 'text', 'classrooms')
  return {
    concepts: [
      { id: 'a', letter: 'A', name: 'setting', essential: false },
      { id: 'b', letter: 'B', name: topic.exposures[0]!.np.replace(/^[+-]+/, ''), essential: true },
      { id: 'c', letter: 'C', name: topic.outcomes[0]!.np.replace(/^[+-]+/, ''), essential: true },
    ],
    terms,
    limits: [LIMIT],
  }
}

/** The lines that are drafted of a plan, with the letters of their concepts; or as somebody types them, without letters. */
export function sheetFor(plan: JudgedPlan, how: 'drafted' | 'typed'): PlannedLine[] {
  const lines = draftStrategy(plan, 'mine', { hasVocabulary: true, hasLimit: () => true }).map(
    (l, i): PlannedLine => ({ ...l, id: `l${i + 1}` }),
  )
  if (how === 'drafted') return lines
  const spare = new Set(lines.filter((l) => l.conceptId === 'a').map((l) => l.id))
  const left = renumberLines(
    lines,
    lines.filter((l) => !spare.has(l.id)),
  )
  return left.map(({ text, limits }, i) => ({ id: `l${i + 1}`, text, limits }))
}

/** Works on the matter itself: those that both sides of the plan find, every third one. */
export function wantedFor(plan: JudgedPlan, source: OpenStandin): Judged {
  const side = (id: string) =>
    evaluate(
      source.index,
      or(
        ...plan.terms
          .filter((t) => t.conceptId === id)
          .flatMap((t) => {
            const e = termExpression(t)
            return e ? [t.kind === 'text' ? inFields(['text'], e) : e] : []
          }),
      ),
      source.options,
    ).docs
  const both = Array.from(intersect(side('b'), side('c'))).filter((_, i) => i % 3 === 0)
  return { known: [], in: both.map((d) => source.records[d]!.id), out: [] }
}
