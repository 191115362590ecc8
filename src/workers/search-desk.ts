import { gunzipSync, strFromU8 } from 'fflate'
import { hasErrors, type Problem } from '@/core/base'
import { printFor, type Loss } from '@/core/profile'
import { parse } from '@/core/query'
import { Rec } from '@/core/records'
import { runStrategy, searchAsTyped, writtenOut, type LineLike } from '@/core/strategy'
import { readSkos, type Heading, type MatchKind } from '@/core/vocabulary'
import { LATEST, openStandin, recordsFile, standin, vocabularyFile, type OpenStandin } from '@/standins'

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

/** A heading as the vocabulary reader shows it: with how many records have it, alone and with all below. */
export interface Counted {
  id: string
  label: string
  alone: number
  withNarrower: number
}

export interface Neighbourhood {
  heading: Heading
  main: number
  counted: Counted
  broader: Counted[]
  narrower: Counted[]
  related: Counted[]
  /** How many headings stand below, at any depth. */
  below: number
}

export interface Offer extends Counted {
  kind: MatchKind
  by: string
}

/** What the search worker answers. One desk holds all stand-ins that were asked for. */
export class SearchDesk {
  private readonly open = new Map<string, Promise<OpenStandin>>()

  private source(id: string): Promise<OpenStandin> {
    let source = this.open.get(id)
    if (!source) {
      source = load(id)
      this.open.set(id, source)
      // A failed load is tried again when it is next asked for.
      source.catch(() => this.open.delete(id))
    }
    return source
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

  async lookUp(sourceId: string, text: string): Promise<Offer[]> {
    const source = await this.source(sourceId)
    return (source.thesaurus?.lookUp(text, 12) ?? []).map(({ heading, kind, by }) => ({
      ...counted(source, heading),
      kind,
      by,
    }))
  }

  async tops(sourceId: string): Promise<Counted[]> {
    const source = await this.source(sourceId)
    return source.thesaurus?.tops().map((h) => counted(source, h)) ?? []
  }

  async neighbourhood(sourceId: string, id: string): Promise<Neighbourhood | undefined> {
    const source = await this.source(sourceId)
    const { thesaurus } = source
    const heading = thesaurus?.heading(id)
    if (!thesaurus || !heading) return undefined
    const all = (ids: string[]): Counted[] => thesaurus.all(ids).map((h) => counted(source, h))
    return {
      heading,
      main: source.index.headingDocs(thesaurus.foldedLabels(heading.label, false)!, true).length,
      counted: counted(source, heading),
      broader: all(heading.broader),
      narrower: all(heading.narrower),
      related: all(heading.related),
      below: thesaurus.withNarrower(heading).length - 1,
    }
  }

  /** Folded labels a heading stands for, for marking records; undefined if there is none of this label. */
  async foldedLabels(
    sourceId: string,
    label: string,
    below: boolean,
  ): Promise<readonly string[] | undefined> {
    return (await this.source(sourceId)).thesaurus?.foldedLabels(label, below)
  }
}

function counted(source: OpenStandin, heading: Heading): Counted {
  const docs = (below: boolean): number =>
    source.index.headingDocs(source.thesaurus!.foldedLabels(heading.label, below)!, false).length
  return { id: heading.id, label: heading.label, alone: docs(false), withNarrower: docs(true) }
}

async function load(id: string): Promise<OpenStandin> {
  const info = standin(id)
  if (!info) throw new Error(`There is no stand-in "${id}".`)
  const vocabulary = vocabularyFile(info)
  const [records, turtle] = await Promise.all([
    fetchBytes(`/data/${recordsFile(info, LATEST)}`),
    vocabulary ? fetchBytes(`/data/${vocabulary}`) : undefined,
  ])
  const read = turtle && readSkos(strFromU8(turtle))
  if (read && !read.ok) throw new Error(read.problems.map((p) => p.message).join(' '))
  return openStandin(info, LATEST, JSON.parse(strFromU8(gunzipSync(records))) as Rec[], read?.value)
}

async function fetchBytes(url: string): Promise<Uint8Array> {
  const answer = await fetch(url)
  if (!answer.ok)
    throw new Error(
      `${url} could not be read (${answer.status}). Start Luvren again with "npm run demo", which builds it.`,
    )
  return new Uint8Array(await answer.arrayBuffer())
}
