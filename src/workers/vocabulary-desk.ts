import { strFromU8 } from 'fflate'
import { foldLabel, type Problem } from '@/core/base'
import { candidates, isStrong, readVocabulary, suggestFromQuestion, Thesaurus } from '@/core/vocabulary'
import type { Heading, MatchKind, MatchReason, Together, VocabularyFormat } from '@/core/vocabulary'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'

/** A heading with how many records have it, alone and with all below; undefined where no records are at hand. */
export interface Counted {
  id: string
  label: string
  alone: number | undefined
  withNarrower: number | undefined
}

/** A heading as the reader shows it, among its neighbours. */
export interface Neighbourhood {
  heading: Heading
  main: number | undefined
  counted: Counted
  broader: Counted[]
  narrower: Counted[]
  /** Beside it: how many records each would add to the heading with all narrower ones. */
  related: (Counted & { adds: number | undefined })[]
  /** How many headings stand below, at any depth. */
  below: number
  /** Labels on each way from the top down to the heading, itself left out. */
  paths: { id: string; label: string }[][]
  /** What records older than the heading have instead. */
  older: string[]
}

export interface Offer extends Counted {
  kind: MatchKind
  by: string
}

export interface TreeRow extends Counted {
  depth: number
  /** Are there narrower headings, and are they shown? */
  open: boolean | undefined
  self: boolean
}

/** A heading of another vocabulary that may mean the same. */
export interface Match extends Counted {
  reasons: MatchReason[]
  /** May it be taken without being looked at? */
  strong: boolean
}

export interface SuggestedHeading extends Counted {
  key: string
  by: string
  entry: boolean
}
export interface Suggestion {
  text: string
  start: number
  end: number
  headings: SuggestedHeading[]
}

/** What a vocabulary file holds, before it is taken in. */
export type Examined =
  | { ok: false; problems: Problem[] }
  | {
      ok: true
      format: VocabularyFormat
      title: string
      version: string
      headings: number
      levels: number
      entryTerms: number
      tops: string[]
      problems: Problem[]
    }

/** Reads vocabularies: looks up, walks, compares, and examines files. */
export class VocabularyDesk {
  constructor(private readonly sources: OpenSources) {}

  async lookUp(key: string, text: string): Promise<Offer[]> {
    const [thesaurus, source] = await this.open(key)
    return (thesaurus?.lookUp(text, 12, (h) => postings(source, h)) ?? []).map(({ heading, kind, by }) => ({
      ...counted(thesaurus!, source, heading),
      kind,
      by,
    }))
  }

  async tops(key: string): Promise<Counted[]> {
    const [thesaurus, source] = await this.open(key)
    return thesaurus?.tops().map((h) => counted(thesaurus, source, h)) ?? []
  }

  async neighbourhood(key: string, id: string): Promise<Neighbourhood | undefined> {
    const [thesaurus, source] = await this.open(key)
    const heading = thesaurus?.heading(id)
    if (!thesaurus || !heading) return undefined
    const all = (ids: string[]): Counted[] => thesaurus.all(ids).map((h) => counted(thesaurus, source, h))
    const labels = thesaurus.foldedLabels(heading.label, true) ?? []
    const taken = source?.index.headingDocs(labels, false).length
    const adds = (label: string): number | undefined =>
      source && source.index.headingDocs([...labels, foldLabel(label)], false).length - taken!
    const before = thesaurus.vocabulary.headings.filter((h) => h.replacedBy === heading.id)
    return {
      heading,
      main: source?.index.headingDocs([foldLabel(heading.label)], true).length,
      counted: counted(thesaurus, source, heading),
      broader: all(heading.broader),
      narrower: all(heading.narrower),
      related: all(heading.related).map((c) => ({ ...c, adds: adds(c.label) })),
      below: thesaurus.withNarrower(heading).length - 1,
      paths: thesaurus
        .paths(heading)
        .slice(0, 4)
        .map((path) => path.slice(0, -1).map(({ id: at, label }) => ({ id: at, label }))),
      older: (before.length ? before : thesaurus.all(heading.broader)).map((h) => h.label),
    }
  }

  /** The tree around a heading: the first way down to it, with what stands beside each step, and what is below it. */
  async tree(key: string, id: string): Promise<TreeRow[]> {
    const [thesaurus, source] = await this.open(key)
    const heading = thesaurus?.heading(id)
    if (!thesaurus || !heading) return []
    const path = thesaurus.paths(heading)[0]!
    const rows: TreeRow[] = []
    const level = (headings: Heading[], depth: number): void => {
      for (const h of headings) {
        const onPath = path[depth]?.id === h.id
        rows.push({
          ...counted(thesaurus, source, h),
          depth,
          open: h.narrower.length ? onPath : undefined,
          self: h.id === id,
        })
        if (onPath) level(thesaurus.all(h.narrower), depth + 1)
      }
    }
    level(thesaurus.tops(), 0)
    return rows
  }

  /** Headings of another vocabulary that may mean the same as this one, best first, with reasons. */
  async matches(key: string, id: string, otherKey: string): Promise<Match[]> {
    const [[thesaurus, source], [other, otherSource]] = await Promise.all([
      this.open(key),
      this.open(otherKey),
    ])
    const heading = thesaurus?.heading(id)
    if (!heading || !other) return []
    const shared =
      source && otherSource ? await this.sharedRecords(source, otherSource, heading.label) : undefined
    return candidates(heading, other, 4, shared).map(({ heading: h, reasons }) => ({
      ...counted(other, otherSource, h),
      reasons,
      strong: isStrong(reasons),
    }))
  }

  /** How many works, told by their DOI, have this heading here and another there. */
  private async sharedRecords(source: OpenStandin, other: OpenStandin, label: string) {
    const [here, there] = await Promise.all([
      this.sources.finder(source.info.id),
      this.sources.finder(other.info.id),
    ])
    const both = new Map<string, number>()
    let known = 0
    for (const doc of source.index.headingDocs([foldLabel(label)], false)) {
      const doi = source.records[doc]!.doi?.toLowerCase()
      const at = doi === undefined ? undefined : there.byDoi.get(doi)
      if (at === undefined) continue
      known++
      for (const h of other.records[at]!.headings) {
        const folded = foldLabel(h.label)
        both.set(folded, (both.get(folded) ?? 0) + 1)
      }
    }
    // Chance is reckoned among the works that both sources hold.
    const common = Math.max(1, [...here.byDoi.keys()].filter((doi) => there.byDoi.has(doi)).length)
    return (h: Heading): Together => {
      const folded = foldLabel(h.label)
      const together = both.get(folded) ?? 0
      if (!together) return { both: 0, smaller: 1, expected: 0 }
      let others = 0
      for (const doc of other.index.headingDocs([folded], false)) {
        const doi = other.records[doc]!.doi?.toLowerCase()
        if (doi !== undefined && here.byDoi.has(doi)) others++
      }
      return {
        both: together,
        smaller: Math.max(1, Math.min(known, others)),
        expected: (known * others) / common,
      }
    }
  }

  /** Phrases of the question that lead to headings in any of these vocabularies, in the order of the question. */
  async suggestions(question: string, keys: string[]): Promise<Suggestion[]> {
    const found = new Map<string, Suggestion>()
    for (const key of keys) {
      const [thesaurus, source] = await this.open(key)
      if (!thesaurus) continue
      for (const { headings, ...phrase } of suggestFromQuestion(question, thesaurus)) {
        const at = `${phrase.start}-${phrase.end}`
        const known = found.get(at) ?? { ...phrase, headings: [] }
        found.set(at, known)
        for (const { heading, by, entry } of headings)
          known.headings.push({ ...counted(thesaurus, source, heading), key, by, entry })
      }
    }
    return [...found.values()].sort((a, b) => a.start - b.start || b.end - a.end)
  }

  /** Folded labels that a heading stands for, for marking records; undefined if there is none of this label. */
  async foldedLabels(key: string, label: string, below: boolean): Promise<readonly string[] | undefined> {
    return (await this.sources.thesaurus(key))?.foldedLabels(label, below)
  }

  /** The id of the heading of this label, for opening the reader at a term. */
  async idOf(key: string, label: string): Promise<string | undefined> {
    return (await this.sources.thesaurus(key))?.byLabel(label)?.id
  }

  has(key: string): boolean {
    return this.sources.has(key)
  }

  /** Reads a file, keeps its vocabulary under `key`, and tells what is in it and what is wrong with it. */
  async examine(key: string, bytes: Uint8Array, name: string): Promise<Examined> {
    const title = name.replace(/\.[^.]+$/, '')
    const read = await readVocabulary(strFromU8(bytes), { id: key, title, version: '' })
    if (!read.ok) return read
    const thesaurus = new Thesaurus(read.value)
    this.sources.hand(key, thesaurus)
    const { headings } = read.value
    return {
      ok: true,
      format: read.format,
      title: read.value.title,
      version: read.value.version,
      headings: headings.length,
      levels: levelsOf(thesaurus),
      entryTerms: headings.reduce((n, h) => n + h.entryTerms.length, 0),
      tops: thesaurus
        .tops()
        .slice(0, 8)
        .map((h) => h.label),
      problems: read.problems,
    }
  }

  private open(key: string): Promise<[Thesaurus | undefined, OpenStandin | undefined]> {
    return Promise.all([this.sources.thesaurus(key), this.sources.behind(key)])
  }
}

/** How many levels the tree has: the longest way down, each heading met once a level. */
function levelsOf(thesaurus: Thesaurus): number {
  let level = thesaurus.tops()
  let depth = 0
  while (level.length) {
    depth++
    const next = new Set(level.flatMap((h) => h.narrower))
    level = thesaurus.all([...next])
  }
  return depth
}

/** How many records have a heading itself. */
const postings = (source: OpenStandin | undefined, heading: Heading): number =>
  source?.index.headingDocs([foldLabel(heading.label)], false).length ?? 0

function counted(thesaurus: Thesaurus, source: OpenStandin | undefined, heading: Heading): Counted {
  const docs = (below: boolean): number | undefined =>
    source?.index.headingDocs(thesaurus.foldedLabels(heading.label, below) ?? [], false).length
  return { id: heading.id, label: heading.label, alone: docs(false), withNarrower: docs(true) }
}
