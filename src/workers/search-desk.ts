import { hasErrors, type Problem } from '@/core/base'
import { printFor, type Loss } from '@/core/profile'
import { parse } from '@/core/query'
import type { Rec } from '@/core/records'
import { runStrategy, searchAsTyped, writtenOut, type LineLike } from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'

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
}

/** Runs lines, counts, and hands out records. */
export class SearchDesk {
  constructor(private readonly sources: OpenSources) {}

  private source(id: string): Promise<OpenStandin> {
    return this.sources.source(id)
  }

  async size(id: string): Promise<number> {
    return (await this.source(id)).records.length
  }

  /** Runs all lines of a strategy, in order. */
  async run(sourceId: string, lines: LineLike[]): Promise<LineAnswer[]> {
    const source = await this.source(sourceId)
    return runStrategy(source, lines).map(({ docs, ...rest }) => ({ ...rest, hits: docs?.length }))
  }

  /** One line of a strategy as the database is asked, without asking it. Empty where the line cannot be read. */
  async say(sourceId: string, lines: LineLike[], lineId: string): Promise<Said> {
    const source = await this.source(sourceId)
    const trees = lines.map((l) => parse(l.text))
    const at = lines.findIndex((l) => l.id === lineId)
    const line = trees[at]
    if (!line?.tree || hasErrors(line.problems)) return { text: '', losses: [] }
    const { text, losses } = printFor(line.tree, source.profile, {
      ...(source.withNarrower ? { withNarrower: source.withNarrower } : {}),
      line: (n) => (n <= at ? writtenOut(n, (k) => trees[k - 1]?.tree) : undefined),
    })
    return { text, losses }
  }

  /** The records of one line of a strategy, the newest first; as many as the database hands out. */
  async records(
    sourceId: string,
    lines: LineLike[],
    lineId: string,
  ): Promise<{ records: Rec[]; hits: number }> {
    const source = await this.source(sourceId)
    const result = runStrategy(source, lines).find((l) => l.id === lineId)
    const records = Array.from(result?.docs ?? [], (doc) => source.records[doc]!)
    records.sort((a, b) => (b.year ?? 0) - (a.year ?? 0) || (a.id < b.id ? -1 : 1))
    const { exported, shown } = source.profile.caps
    return { records: records.slice(0, exported ?? shown), hits: records.length }
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
