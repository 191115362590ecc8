import { drain } from '@/core/base'
import { applyLimits, buildIndex, EMPTY, evaluate, type DocSet } from '@/core/engine'
import { toDocument, type Rec } from '@/core/records'
import { limitAs, printFor, type Loss, type Profile } from '@/core/profile'
import { parse, print, referredLines, type Expr, type LimitValue } from '@/core/query'
import {
  adviseSteps,
  asSent,
  checkInSteps,
  checkStrategy,
  finalNumber,
  judging,
  knownItemBoard,
  notLosses,
  remarkKey,
  runLines,
  runStrategy,
  termYields,
  type Advised,
  type CheckContext,
  type CheckedLine,
  type CountedStep,
  type Judging,
  type LineLike,
  type LineResult,
  type NotLoss,
  type Offered,
  type PlanTerm,
  type Remark,
  type TermYield,
} from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import { boardRow, type BoardRow } from './board-row'
import type { OpenSources } from './open-sources'
import { Pace, type GoOn } from './pace'
import { expressionOf, inUse, yieldsOf, type FoundTerm } from './term-yields'

export interface PlannedLine extends LineLike {
  conceptId?: string | undefined
}

/** The plan as far as judging needs it. */
export interface JudgedPlan {
  concepts: { id: string; letter: string; name: string; essential: boolean }[]
  /** Groups of concepts of which one is enough. */
  alternatives?: { conceptIds: string[] }[]
  terms: (PlanTerm & { id: string })[]
  limits: LimitValue[]
}

/** Records of one source that matter: known items by their ids, and those ruled in and out, by record number. */
export interface Judged {
  known: { id: string; recordId: string }[]
  in: string[]
  out: string[]
}

/** What is judged of a source whose records lie outside: its lines with the hits that were logged. */
export interface SearchOutside extends Omit<JudgedSearch, 'key' | 'judged' | 'lines'> {
  profile: Profile
  vocabulary: string | undefined
  lines: (PlannedLine & { hits?: number | undefined })[]
  /** Records that were brought in of this search, with what was ruled of each. */
  brought?: { record: Rec; ruled: 'in' | 'out' | undefined }[]
}

/** What is judged: the lines of one source, as it is searched here. */
export interface JudgedSearch {
  /** The stand-in and its release. */
  key: string
  /** What the plan calls the source. */
  sourceId: string
  lines: PlannedLine[]
  /** The line that somebody chose to count. */
  countingId?: string | undefined
  plan: JudgedPlan
  judged: Judged
}

export interface KeyedRemark extends Remark {
  key: string
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
  async judge(search: JudgedSearch, goOn?: GoOn): Promise<Judgement | undefined> {
    const { key, sourceId, lines, plan } = search
    const source = await this.sources.source(key)
    const pace = new Pace(goOn)
    const planned = inUse(plan, sourceId)
    const of = lines.length + planned.length
    const results: LineResult[] = []
    for (const result of runLines(source, lines, this.sources.cache(key))) {
      results.push(result)
      if (!(await pace.at(results.length, of))) return undefined
    }
    const { context, items, ruled, wanted, sent } = await this.context(search, source, results)
    const found: FoundTerm[] = []
    for (const t of planned) {
      const e = expressionOf(t)
      if (e) found.push({ id: t.id, conceptId: t.conceptId, docs: sent(e).docs })
      if (!(await pace.at(lines.length + found.length, of))) return undefined
    }
    const yields = yieldsOf(source, plan, found, ruled)
    const built = judging(context)
    const rules = checkInSteps(built)
    let remarks: Remark[] = []
    for (let next = rules.next(); lines.length; next = rules.next()) {
      if (next.done) {
        remarks = next.value
        break
      }
      if (!(await pace.at(of, of))) return undefined
    }
    return {
      remarks: remarks.map((r) => ({ ...r, key: remarkKey(r) })),
      board: knownItemBoard(context.lines, items, built).map((row) =>
        boardRow(row, source, plan, sourceId, built),
      ),
      yields,
      nots: notLosses(built.search, wanted, (n) => lines[n - 1]!.id),
    }
  }

  /** What judging looks at, once the lines have run; and the records that matter. */
  private async context(
    { sourceId, lines, countingId, plan, judged }: JudgedSearch,
    source: OpenStandin,
    results: readonly LineResult[],
  ) {
    const docOf = new Map(source.records.map((r, doc) => [r.id, doc]))
    const docs = (ids: readonly string[]): Set<number> => new Set(ids.flatMap((id) => docOf.get(id) ?? []))
    const items = judged.known.flatMap(({ id, recordId }) => {
      const doc = docOf.get(recordId)
      return doc === undefined ? [] : [{ id, doc }]
    })
    const ruled = { in: docs(judged.in), out: docs(judged.out) }
    const wanted = new Set([...items.map((i) => i.doc), ...ruled.in])
    const asked = new Map<string, ReturnType<typeof asSent>>()
    const sent = (e: Expr): ReturnType<typeof asSent> => {
      const text = print(e)
      const known = asked.get(text) ?? asSent(source, e)
      asked.set(text, known)
      return known
    }
    const context: CheckContext = {
      ...plan,
      sourceId,
      profile: source.profile,
      lines: lines.map((l, i) => ({
        ...l,
        number: i + 1,
        ...read(l),
        docs: results[i]!.docs,
        hits: results[i]!.docs?.length,
        losses: results[i]!.losses,
      })),
      countingId,
      searched: true,
      index: source.index,
      thesaurus: source.thesaurus,
      pairs: await this.sources.spellings(),
      wanted,
      unwanted: ruled.out,
      find: (e) => sent(e).docs,
      lossesOf: (e) => sent(e).losses,
      limited: (found, limit) => limitedBy(source, found, limit),
    }
    return { context, items, ruled, wanted, sent }
  }

  /**
   * How many records a term finds alone within its concept, in each of these stand-ins, as it is sent there. A heading is asked
   * only in its own.
   */
  async aloneIn(
    termId: string,
    plan: JudgedPlan,
    places: readonly { key: string; sourceId: string }[],
  ): Promise<{ sourceId: string; only: number }[]> {
    return Promise.all(
      places.map(async ({ key, sourceId }) => {
        const source = await this.sources.source(key)
        const planned = inUse(plan, sourceId)
        const own = planned.find((t) => t.id === termId)
        const found = planned
          .filter((t) => t.conceptId === own?.conceptId)
          .flatMap((t): FoundTerm[] => {
            const e = expressionOf(t)
            return e ? [{ id: t.id, conceptId: t.conceptId, docs: asSent(source, e).docs }] : []
          })
        const none = { in: new Set<number>(), out: new Set<number>() }
        const yields = termYields(found, source.records.length, new Map(), none)
        return { sourceId, only: yields.find((y) => y.id === termId)?.only ?? 0 }
      }),
    )
  }

  /**
   * Remarks on a strategy whose records lie outside: what can be said from the plan, the lines, the vocabulary if there
   * is one, and the hits that were logged.
   */
  async remarks({
    profile,
    vocabulary,
    sourceId,
    lines,
    countingId,
    plan,
    brought = [],
  }: SearchOutside): Promise<KeyedRemark[]> {
    if (!lines.length) return []
    const trees = lines.map(read)
    const index = buildIndex(brought.map(({ record }) => toDocument(record)))
    const thesaurus = vocabulary === undefined ? undefined : await this.sources.thesaurus(vocabulary)
    const ruled = (verdict: 'in' | 'out'): Set<number> =>
      new Set(brought.flatMap((b, doc) => (b.ruled === verdict ? [doc] : [])))
    const headings = (label: string, below: boolean) => thesaurus?.foldedLabels(label, below)
    const lossesOf = (e: Expr | undefined): readonly Loss[] => (e ? printFor(e, profile).losses : [])
    const remarks = checkStrategy({
      ...plan,
      sourceId,
      profile,
      countingId,
      lines: lines.map((l, i) => ({
        ...l,
        number: i + 1,
        ...trees[i]!,
        docs: undefined,
        hits: l.hits,
        losses: lossesOf(trees[i]!.tree),
      })),
      searched: false,
      index,
      thesaurus,
      brought: {
        size: brought.length,
        find: (e) => evaluate(index, e, { headings }).docs,
        in: ruled('in'),
        out: ruled('out'),
      },
      pairs: await this.sources.spellings(),
      wanted: new Set(),
      unwanted: new Set(),
      find: () => EMPTY,
      lossesOf,
      limited: (docs) => docs,
    })
    return remarks.map((r) => ({ ...r, key: remarkKey(r) }))
  }

  /**
   * What could be done with too many or too few, each step with the count it would give. Undefined where `goOn` stopped
   * it. `offers` are what was harvested from good records.
   */
  async advise(search: JudgedSearch, offers: Offered[], goOn?: GoOn): Promise<Advised | undefined> {
    const { key, sourceId, lines, countingId, plan } = search
    const source = await this.sources.source(key)
    const pace = new Pace(goOn)
    const known = this.sources.cache(key)
    // What candidates find is not remembered: the memory is for what stands in the sheet.
    const run = (asked: readonly LineLike[]): LineResult[] => runStrategy(source, asked, new Map(known))
    const find = (asked: readonly LineLike[]): DocSet | undefined => {
      const results = run(asked)
      // A line that a step adds behind the others is what would count then.
      const adds = asked.some((l) => !lines.some((o) => o.id === l.id))
      const chosen = adds ? undefined : results.find((r) => r.id === countingId)
      return (chosen ?? results[finalNumber(asked) - 1])?.docs
    }
    const { context, wanted } = await this.context(search, source, run(lines))
    const built = judging(context)
    const steps = adviseSteps(
      {
        concepts: plan.concepts,
        lines: lines.map((l, i) => ({ ...l, conceptId: l.conceptId ?? letterOf(built, i) })),
        profile: source.profile,
        limits: plan.limits,
        terms: inUse(plan, sourceId),
        offers,
        remarks: lines.length ? drain(checkInSteps(built)).filter((r) => r.kind === 'gain') : [],
      },
      find,
      wanted,
    )
    const own = new Map(lines.map((l) => [l.id, l.conceptId]))
    // What was only guessed of a line is not written into it.
    const asTheyWere = (step: CountedStep): CountedStep => ({
      ...step,
      lines: step.lines.map((l) => (own.has(l.id) ? { ...l, conceptId: own.get(l.id) } : l)),
    })
    for (;;) {
      const next = steps.next()
      if (next.done) {
        const { now, fewer, more } = next.value
        return { now, fewer: fewer.map(asTheyWere), more: more.map(asTheyWere) }
      }
      if (!(await pace.at(next.value.done, next.value.of))) return undefined
    }
  }
}

/** The concept that a line without a letter is about; one that joins others needs none. */
function letterOf({ search, about, lines }: Judging, i: number): string | undefined {
  const root = search.roots[i]
  return root && !referredLines(lines[i]!.tree!).length ? about.of(root) : undefined
}

/** A line as it is read: its tree, and what reading found to say. */
const read = ({ text }: LineLike): Pick<CheckedLine, 'tree' | 'problems'> => parse(text)

/** Those records that a limit lets through, set as the source sets it; all where it has none such. */
function limitedBy(source: OpenStandin, docs: DocSet, limit: LimitValue): DocSet {
  const own = limitAs(limit, source.profile)
  return own ? applyLimits(source.index, docs, [own]) : docs
}
