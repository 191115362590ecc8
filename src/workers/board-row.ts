import { foldLabel } from '@/core/base'
import { phrase, print, word, type Expr } from '@/core/query'
import { causeWords, type BoardItem, type Judging } from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { JudgedPlan } from './judge-desk'
import { isName, runsOf } from './named-words'
import { inUse } from './term-yields'

/** A known item on the board, with what its record offers where it was missed. */
export interface BoardRow {
  id: string
  title: string
  found: (boolean | undefined)[]
  atLast: boolean | undefined
  lostAt: number[]
  /** Every cause of a miss, each in words. */
  causes: BoardCause[]
}

/** Why a known item is missed, with what its record says instead where words are the cause. */
export interface BoardCause {
  words: string
  conceptId?: string | undefined
  /** Headings of the record that may stand for the concept and that the plan does not have. */
  headings: string[]
  /** What the record calls it, in plain notation: author keywords, and names in its title. */
  names: string[]
}

/** One known item with every cause of its miss, in words, and what its record offers against it. */
export function boardRow(
  row: BoardItem,
  source: OpenStandin,
  plan: JudgedPlan,
  sourceId: string,
  search: Judging,
): BoardRow {
  const record = source.records[row.doc]!
  const name = (id: string): string | undefined => {
    const concept = plan.concepts.find((c) => c.id === id)
    return concept && `${concept.letter} ${concept.name}`
  }
  const limited = { year: record.year, language: record.language, type: record.type }
  return {
    id: row.id,
    title: record.title,
    found: row.found,
    atLast: row.atLast,
    lostAt: row.lostAt,
    causes: row.causes.map((cause): BoardCause => {
      const words = causeWords(cause, limited, name)
      if (cause.kind !== 'words' || cause.conceptId === undefined) return { words, headings: [], names: [] }
      const { conceptId } = cause
      return { words, conceptId, ...offered(source, plan, row.doc, sourceId, conceptId, search) }
    }),
  }
}

/** As many headings and names as are offered for one cause. */
const MOST_OFFERED = 6

/**
 * What a missed record says of a concept: its headings and keywords, and names in its title, that the plan has not. What is
 * about another concept for sure is left out; what is about this one stands first.
 */
function offered(
  source: OpenStandin,
  plan: JudgedPlan,
  doc: number,
  sourceId: string,
  conceptId: string,
  { about }: Judging,
): Pick<BoardCause, 'headings' | 'names'> {
  const record = source.records[doc]!
  const planned = inUse(plan, sourceId)
  // A heading that is planned says nothing of whether its words are.
  const headed = new Set(
    planned.flatMap((t) =>
      t.kind === 'heading' ? (source.thesaurus?.foldedLabels(t.expression, t.withNarrower) ?? []) : [],
    ),
  )
  const worded = new Set(planned.flatMap((t) => (t.kind === 'heading' ? [] : foldLabel(t.expression))))
  const ranked = <T>(list: readonly T[], toExpr: (one: T) => Expr): T[] =>
    list
      .map((one) => ({ one, concept: about.ofExpression(toExpr(one)) }))
      .filter(({ concept }) => concept === undefined || concept === conceptId)
      .sort((a, b) => Number(b.concept === conceptId) - Number(a.concept === conceptId))
      .map(({ one }) => one)
      .slice(0, MOST_OFFERED)
  const headings = record.headings.map((h) => h.label).filter((l) => !headed.has(foldLabel(l)))
  const keywords = record.keywords.map(foldLabel)
  const named = runsOf(record.title).filter((run) => isName(run, [source]))
  const names = [...new Set([...keywords, ...named])].filter((text) => text && !worded.has(text))
  // Of two names of which one holds the other the longer one says it.
  const longest = names.filter((n) => !names.some((o) => o !== n && ` ${o} `.includes(` ${n} `)))
  return {
    headings: ranked(headings, (label) => ({ kind: 'heading', label, below: false, main: false })),
    names: ranked(longest, said).map((text) => print(said(text))),
  }
}

/** A name as it is searched: a word, or a phrase of several. */
const said = (folded: string): Expr => {
  const words = folded.split(' ')
  return words.length === 1 ? word(folded) : phrase(...words)
}
