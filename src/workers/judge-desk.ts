import { foldLabel, tokens } from '@/core/base'
import { EMPTY, evaluate, intersect, uniteAll, type DocSet } from '@/core/engine'
import { inFields, maskTest, parse, type Expr, type LimitValue } from '@/core/query'
import {
  checkStrategy,
  knownItemBoard,
  notLosses,
  remarkKey,
  runStrategy,
  termExpression,
  termYields,
  type LineLike,
  type NotLoss,
  type PlanTerm,
  type Remark,
  type TermYield,
} from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'

export interface PlannedLine extends LineLike {
  conceptId?: string | undefined
}

/** The plan as far as judging needs it. */
export interface JudgedPlan {
  concepts: { id: string; letter: string; name: string; essential: boolean }[]
  terms: (PlanTerm & { id: string })[]
  limits: LimitValue[]
}

/** Records of one source that matter: known items by their ids, and those ruled in and out, by record number. */
export interface Judged {
  known: { id: string; recordId: string }[]
  in: string[]
  out: string[]
}

export interface KeyedRemark extends Remark {
  key: string
}

/** A known item on the board, with what its record offers where it was missed. */
export interface BoardRow {
  id: string
  title: string
  found: (boolean | undefined)[]
  atLast: boolean | undefined
  lostAt: number[]
  /** Headings of the record that the plan does not have. */
  headings: string[]
  /** Words of its title and keywords that no text word of the plan matches. */
  words: string[]
}

export interface Judgement {
  remarks: KeyedRemark[]
  board: BoardRow[]
  yields: TermYield[]
  nots: NotLoss[]
}

/** Judges a strategy: remarks, known items, yields, what NOT throws away. */
export class JudgeDesk {
  constructor(private readonly sources: OpenSources) {}

  async judge(
    sourceId: string,
    planSource: string,
    lines: PlannedLine[],
    plan: JudgedPlan,
    judged: Judged,
  ): Promise<Judgement> {
    const source = await this.sources.source(sourceId)
    const results = runStrategy(source, lines, this.sources.cache(sourceId))
    const docOf = new Map(source.records.map((r, doc) => [r.id, doc]))
    const docs = (ids: readonly string[]): Set<number> => new Set(ids.flatMap((id) => docOf.get(id) ?? []))
    const items = judged.known.flatMap(({ id, recordId }) => {
      const doc = docOf.get(recordId)
      return doc === undefined ? [] : [{ id, doc }]
    })
    const ruled = { in: docs(judged.in), out: docs(judged.out) }
    const wanted = new Set([...items.map((i) => i.doc), ...ruled.in])
    const ofLines = (n: number): DocSet => results[n - 1]?.docs ?? EMPTY
    const find = (e: Expr): DocSet => evaluate(source.index, e, { ...source.options, line: ofLines }).docs
    const checked = lines.map((l, i) => ({
      ...l,
      number: i + 1,
      tree: parse(l.text).tree,
      docs: results[i]!.docs,
      losses: results[i]!.losses,
    }))
    const remarks = lines.length
      ? checkStrategy({
          ...plan,
          sourceId: planSource,
          profile: source.profile,
          lines: checked,
          index: source.index,
          thesaurus: source.thesaurus,
          pairs: await this.sources.spellings(),
          wanted,
          find,
        })
      : []
    return {
      remarks: remarks.map((r) => ({ ...r, key: remarkKey(r) })),
      board: knownItemBoard(checked, items).map((row) => ({
        id: row.id,
        title: source.records[row.doc]!.title,
        found: row.found,
        atLast: row.atLast,
        lostAt: row.lostAt,
        ...(row.lostAt.length ? offered(source, plan, row.doc, planSource) : { headings: [], words: [] }),
      })),
      yields: yieldsOf(source, plan, planSource, ruled, find),
      nots: notLosses(checked, find, wanted),
    }
  }
}

const inUse = (plan: JudgedPlan, planSource: string) =>
  plan.terms.filter((t) => t.status === 'in use' && (t.sourceId === 'all' || t.sourceId === planSource))

function expressionOf(term: PlanTerm): Expr | undefined {
  const e = termExpression(term)
  return e && term.kind === 'text' ? inFields(['text'], e) : e
}

/** What a missed record says instead: its headings and words that the plan does not have. */
function offered(source: OpenStandin, plan: JudgedPlan, doc: number, planSource: string) {
  const record = source.records[doc]!
  const planned = inUse(plan, planSource)
  const headings = new Set(
    planned.flatMap((t) =>
      t.kind === 'heading' ? (source.thesaurus?.foldedLabels(t.expression, t.withNarrower) ?? []) : [],
    ),
  )
  const terms = planned.filter((t) => t.kind === 'text').flatMap((t) => termExpression(t) ?? [])
  const masks = terms.flatMap((e) => [...tokensOf(e)].map(maskTest))
  const matched = (word: string): boolean => masks.some((test) => test(word))
  const words = [...record.keywords, record.title].flatMap((text) => tokens(text).map((t) => t.text))
  return {
    headings: record.headings.map((h) => h.label).filter((l) => !headings.has(foldLabel(l))),
    words: [...new Set(words)].filter((w) => w.length > 3 && !COMMON.has(w) && !matched(w)).slice(0, 8),
  }
}

const COMMON = new Set(
  'with from that this their were have been which study studies between among effect effects role three years first school schools children pupils'.split(
    ' ',
  ),
)

function* tokensOf(e: Expr): Generator<string> {
  if (e.kind === 'word') yield e.text.toLowerCase()
  else if (e.kind === 'phrase') yield* e.words.map((w) => w.toLowerCase())
  else if (e.kind === 'or' || e.kind === 'and' || e.kind === 'not')
    for (const p of e.parts) yield* tokensOf(p)
  else if (e.kind === 'near') {
    yield* tokensOf(e.left)
    yield* tokensOf(e.right)
  } else if (e.kind === 'fields') yield* tokensOf(e.of)
}

function yieldsOf(
  source: OpenStandin,
  plan: JudgedPlan,
  planSource: string,
  ruled: { in: ReadonlySet<number>; out: ReadonlySet<number> },
  find: (e: Expr) => DocSet,
): TermYield[] {
  const terms = inUse(plan, planSource).flatMap((t) => {
    const e = expressionOf(t)
    return e ? [{ id: t.id, conceptId: t.conceptId, docs: find(e) }] : []
  })
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
