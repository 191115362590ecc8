import { foldLabel, tokens } from '@/core/base'
import { buildIndex, EMPTY, evaluate, intersect, uniteAll, type DocSet } from '@/core/engine'
import { printFor, type Profile } from '@/core/profile'
import { inFields, maskTest, parse, type Expr, type LimitValue } from '@/core/query'
import {
  adviseSteps,
  checkStrategy,
  finalNumber,
  knownItemBoard,
  notLosses,
  remarkKey,
  runLines,
  runStrategy,
  termExpression,
  termYields,
  type Advised,
  type LineLike,
  type LineResult,
  type NotLoss,
  type Offered,
  type PlanTerm,
  type Remark,
  type TermYield,
} from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'
import { Pace, type GoOn } from './pace'

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

  /** Undefined where `goOn` stopped it; it is told how many lines and terms are done of how many. */
  async judge(
    sourceId: string,
    planSource: string,
    lines: PlannedLine[],
    plan: JudgedPlan,
    judged: Judged,
    goOn?: GoOn,
  ): Promise<Judgement | undefined> {
    const source = await this.sources.source(sourceId)
    const pace = new Pace(goOn)
    const planned = inUse(plan, planSource)
    const of = lines.length + planned.length
    const results: LineResult[] = []
    for (const result of runLines(source, lines, this.sources.cache(sourceId))) {
      results.push(result)
      if (!(await pace.at(results.length, of))) return undefined
    }
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
      hits: results[i]!.docs?.length,
      losses: results[i]!.losses,
    }))
    const found: FoundTerm[] = []
    for (const t of planned) {
      const e = expressionOf(t)
      if (e) found.push({ id: t.id, conceptId: t.conceptId, docs: find(e) })
      if (!(await pace.at(lines.length + found.length, of))) return undefined
    }
    const yields = yieldsOf(source, plan, found, ruled)
    const remarks = lines.length
      ? checkStrategy({
          ...plan,
          sourceId: planSource,
          profile: source.profile,
          lines: checked,
          searched: true,
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
      yields,
      nots: notLosses(checked, find, wanted),
    }
  }

  /**
   * Remarks on a strategy whose records lie outside: what can be said from the plan, the lines, the vocabulary if there
   * is one, and the hits that were logged.
   */
  async remarks(
    profile: Profile,
    vocabulary: string | undefined,
    planSource: string,
    lines: (PlannedLine & { hits?: number | undefined })[],
    plan: JudgedPlan,
  ): Promise<KeyedRemark[]> {
    if (!lines.length) return []
    const trees = lines.map((l) => parse(l.text).tree)
    const remarks = checkStrategy({
      ...plan,
      sourceId: planSource,
      profile,
      lines: lines.map((l, i) => ({
        ...l,
        number: i + 1,
        tree: trees[i],
        docs: undefined,
        hits: l.hits,
        losses: trees[i] ? printFor(trees[i], profile).losses : [],
      })),
      searched: false,
      index: buildIndex([]),
      thesaurus: vocabulary === undefined ? undefined : await this.sources.thesaurus(vocabulary),
      pairs: await this.sources.spellings(),
      wanted: new Set(),
      find: () => EMPTY,
    })
    return remarks.map((r) => ({ ...r, key: remarkKey(r) }))
  }

  /**
   * What could be done with too many or too few, each step with the count it would give. Undefined where `goOn` stopped
   * it. `offers` are what was harvested from good records.
   */
  async advise(
    sourceId: string,
    planSource: string,
    lines: PlannedLine[],
    plan: JudgedPlan,
    judged: Judged,
    offers: Offered[],
    goOn?: GoOn,
  ): Promise<Advised | undefined> {
    const source = await this.sources.source(sourceId)
    const pace = new Pace(goOn)
    const wanted = new Set([...judged.known.map((k) => k.recordId), ...judged.in])
    const docs = new Set(source.records.flatMap((r, doc) => (wanted.has(r.id) ? [doc] : [])))
    const known = this.sources.cache(sourceId)
    const find = (asked: readonly LineLike[]): DocSet | undefined =>
      // What candidates find is not remembered: the memory is for what stands in the sheet.
      runStrategy(source, asked, new Map(known))[finalNumber(asked) - 1]?.docs
    const steps = adviseSteps(
      {
        concepts: plan.concepts,
        lines,
        profile: source.profile,
        limits: plan.limits,
        terms: inUse(plan, planSource),
        offers,
      },
      find,
      docs,
    )
    for (;;) {
      const next = steps.next()
      if (next.done) return next.value
      if (!(await pace.at(next.value.done, next.value.of))) return undefined
    }
  }
}

interface FoundTerm {
  id: string
  conceptId: string
  docs: DocSet
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
