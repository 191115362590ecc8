import { firstOf, hasErrors, type Problem } from '@/core/base'
import { applyLimits, relevance } from '@/core/engine'
import { limitAs, printFor, withLimits, type Loss } from '@/core/profile'
import { parse, sameLimit, type Expr, type LimitValue, type LimitKind } from '@/core/query'
import {
  comeAndGone,
  type ComeAndGone,
  countFacets,
  docsWithFacets,
  followed,
  type ChosenFacets,
  type Direction,
  type FacetTable,
  type Rec,
  type RecordFacet,
} from '@/core/records'
import {
  limitsToSend,
  runLines,
  runStrategy,
  searchAsTyped,
  writtenOut,
  type LineLike,
} from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'
import { Pace, type GoOn } from './pace'

export interface LineAnswer {
  id: string
  number: number
  hits: number | undefined
  /** As it was sent, in the database's own syntax. */
  sent: string
  losses: Loss[]
  problems: Problem[]
}

export interface Said {
  text: string
  losses: Loss[]
  /** Limits that are not in the text: what is to be set on the screen of the source, in its words. */
  onScreen: string[]
  /** Limits that the source does not have. */
  missing: LimitKind[]
}

export interface LimitCosts {
  /** Hits before any limit; undefined where the line cannot be run. */
  before: number | undefined
  limits: {
    kind: LimitValue['kind']
    /** Hits with this limit alone; undefined where the source does not have it. */
    alone: number | undefined
    /** Hits with this one and all before it. */
    after: number
    /** Record numbers of known items that it alone loses. */
    lost: string[]
  }[]
}

/** A line of a strategy as it stood once, and the stand-in in the release of that day. */
export interface AskedOnce {
  key: string
  lines: LineLike[]
  lineId: string
}

export type PeekOrder = 'newest' | 'title' | 'times cited' | 'relevance'
export interface Peek {
  hits: number
  /** With the chosen facets. */
  left: number
  /** The first of these. */
  records: Rec[]
  facets: Record<RecordFacet, FacetTable>
}
const PEEK_MOST = 40

/** Runs lines, counts, and hands out records. */
/** Limits that say the same, once. */
const distinct = (limits: readonly LimitValue[]): LimitValue[] =>
  limits.filter((l, i) => limits.findIndex((x) => sameLimit(x, l)) === i)

export class SearchDesk {
  constructor(private readonly sources: OpenSources) {}

  private source(id: string): Promise<OpenStandin> {
    return this.sources.source(id)
  }

  async size(id: string): Promise<number> {
    return (await this.source(id)).records.length
  }

  /**
   * Runs all lines of a strategy, in order; what asks the same as before comes from memory. `goOn` is told how far it is
   * every so often, and stops the run by answering no: then there are answers for the lines done so far only.
   */
  async run(sourceId: string, lines: LineLike[], goOn?: GoOn): Promise<LineAnswer[]> {
    const source = await this.source(sourceId)
    const answers: LineAnswer[] = []
    const pace = new Pace(goOn)
    for (const { docs, ...rest } of runLines(source, lines, this.sources.cache(sourceId))) {
      answers.push({ ...rest, hits: docs?.length })
      if (!(await pace.at(answers.length, lines.length))) break
    }
    return answers
  }

  /**
   * What each limit costs in a source: hits of a line, then with each limit set alone, then with all up to it in order;
   * and which of the known items (by their record numbers) each one loses.
   */
  async costs(
    sourceId: string,
    lines: LineLike[],
    lineId: string,
    limits: LimitValue[],
    known: string[],
  ): Promise<LimitCosts> {
    const source = await this.source(sourceId)
    const base = runStrategy(source, lines, this.sources.cache(sourceId)).find((l) => l.id === lineId)?.docs
    if (!base) return { before: undefined, limits: [] }
    const wanted = new Set(known)
    const ids = (docs: Iterable<number>): string[] =>
      [...docs].map((d) => source.records[d]!.id).filter((id) => wanted.has(id))
    let running = base
    return {
      before: base.length,
      limits: limits.map((limit) => {
        const set = limitAs(limit, source.profile)
        if (!set) return { kind: limit.kind, alone: undefined, after: running.length, lost: [] }
        const alone = applyLimits(source.index, base, [set])
        const kept = new Set(ids(alone))
        running = applyLimits(source.index, running, [set])
        return {
          kind: limit.kind,
          alone: alone.length,
          after: running.length,
          lost: ids(base).filter((id) => !kept.has(id)),
        }
      }),
    }
  }

  /** One line of a strategy as the database is asked, without asking it. Empty where the line cannot be read. */
  async say(sourceId: string, lines: LineLike[], lineId: string): Promise<Said> {
    const source = await this.source(sourceId)
    const trees = lines.map((l) => parse(l.text))
    const at = lines.findIndex((l) => l.id === lineId)
    const line = trees[at]
    if (!line?.tree || hasErrors(line.problems)) return { text: '', losses: [], onScreen: [], missing: [] }
    const { text, losses } = printFor(line.tree, source.profile, {
      ...(source.withNarrower ? { withNarrower: source.withNarrower } : {}),
      line: (n) => (n <= at ? writtenOut(n, (k) => trees[k - 1]?.tree) : undefined),
    })
    // What is copied must ask there what the line asks here: with its limits, and where no lines are kept with all that hold.
    const limits = limitsToSend(lines, source.profile.lines !== undefined)[at]!
    return { losses, ...withLimits(text, distinct(limits), source.profile) }
  }

  /** The records of one line of a strategy, the newest first; as many as the database hands out. */
  async records(
    sourceId: string,
    lines: LineLike[],
    lineId: string,
  ): Promise<{ records: Rec[]; hits: number }> {
    const source = await this.source(sourceId)
    const result = runStrategy(source, lines, this.sources.cache(sourceId)).find((l) => l.id === lineId)
    const records = Array.from(result?.docs ?? [], (doc) => source.records[doc]!)
    records.sort((a, b) => (b.year ?? 0) - (a.year ?? 0) || (a.id < b.id ? -1 : 1))
    const { exported, shown } = source.profile.caps
    return { records: records.slice(0, exported ?? shown), hits: records.length }
  }

  /** The numbers of the records that each line finds; a line that cannot be run is left out. */
  async numbersOf(sourceId: string, lines: LineLike[]): Promise<Record<string, string[]>> {
    const source = await this.source(sourceId)
    const results = runStrategy(source, lines, this.sources.cache(sourceId))
    return Object.fromEntries(
      results.flatMap(({ id, docs }) =>
        docs ? [[id, Array.from(docs, (doc) => source.records[doc]!.id)]] : [],
      ),
    )
  }

  /** The records of a source that some of its records cite, or that cite one of them. */
  async followed(sourceId: string, numbers: readonly string[], direction: Direction): Promise<Rec[]> {
    return followed((await this.source(sourceId)).records, numbers, direction)
  }

  /** A look into what a line finds: records in some order, and facets with what taking each in would leave. */
  async peek(
    sourceId: string,
    lines: LineLike[],
    lineId: string,
    order: PeekOrder,
    chosen: ChosenFacets,
  ): Promise<Peek> {
    const source = await this.source(sourceId)
    const docs = runStrategy(source, lines, this.sources.cache(sourceId)).find((l) => l.id === lineId)?.docs
    const index = await this.sources.facets(sourceId)
    if (!docs) return { hits: 0, left: 0, records: [], facets: countFacets(index, []) }
    const left = docsWithFacets(index, docs, chosen)
    const { records } = source
    const whole = order === 'relevance' ? wholeOf(lines, lineId) : undefined
    const scores = whole && relevance(source.index, whole)
    const by: Record<PeekOrder, (a: number, b: number) => number> = {
      newest: (a, b) => (records[b]!.year ?? 0) - (records[a]!.year ?? 0),
      title: (a, b) => (records[a]!.title < records[b]!.title ? -1 : 1),
      'times cited': (a, b) => (records[b]!.timesCited ?? 0) - (records[a]!.timesCited ?? 0),
      relevance: (a, b) => (scores ? scores[b]! - scores[a]! : 0),
    }
    const first = firstOf(
      left,
      PEEK_MOST,
      (a, b) => by[order](a, b) || (records[a]!.id < records[b]!.id ? -1 : 1),
    )
    return {
      hits: docs.length,
      left: left.length,
      records: first.map((doc) => records[doc]!),
      facets: countFacets(index, docs, chosen),
    }
  }

  /**
   * A line as it was asked on two occasions, each in its release: what came and what went. A new record was added to the
   * database since, or was there and is found only now; a gone one was withdrawn, or is there and found no more.
   */
  async again(earlier: AskedOnce, later: AskedOnce): Promise<ComeAndGone> {
    const [before, after] = await Promise.all([this.ask(earlier), this.ask(later)])
    return comeAndGone(
      { held: before.source.records, found: before.records },
      { held: after.source.records, found: after.records },
    )
  }

  private async ask({ key, lines, lineId }: AskedOnce): Promise<{ source: OpenStandin; records: Rec[] }> {
    const source = await this.source(key)
    const docs = runStrategy(source, lines, this.sources.cache(key)).find((l) => l.id === lineId)?.docs
    return { source, records: Array.from(docs ?? [], (doc) => source.records[doc]!) }
  }

  /** How many records one expression finds; undefined where it cannot be read. */
  async count(sourceId: string, text: string): Promise<number | undefined> {
    const source = await this.source(sourceId)
    const { tree, problems } = parse(text)
    if (!tree || problems.some((p) => p.severity === 'error')) return undefined
    const said = printFor(
      tree,
      source.profile,
      source.withNarrower ? { withNarrower: source.withNarrower } : {},
    )
    return searchAsTyped(source.index, said.text, source.profile, source.options).docs?.length
  }
}

/** What a line says with all lines it refers to written out. */
function wholeOf(lines: readonly LineLike[], lineId: string): Expr | undefined {
  const trees = lines.map((l) => parse(l.text).tree)
  return writtenOut(lines.findIndex((l) => l.id === lineId) + 1, (n) => trees[n - 1])
}
