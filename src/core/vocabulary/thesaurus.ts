import { foldLabel } from '../base'
import type { Heading, Vocabulary } from './heading'

/** Why a look-up offers a heading, best first. */
export type MatchKind = 'label' | 'entry term' | 'words' | 'part of a word'

export interface LookUp {
  heading: Heading
  kind: MatchKind
  /** The label or entry term that matched. */
  by: string
}

const KIND_RANK: Record<MatchKind, number> = { label: 0, 'entry term': 1, words: 2, 'part of a word': 3 }

interface Name {
  folded: string
  words: string[]
  text: string
  entry: boolean
  heading: Heading
}

/** A vocabulary ready for reading: by id, by name, upwards and downwards. */
export class Thesaurus {
  private readonly byId = new Map<string, Heading>()
  private readonly byName = new Map<string, Name[]>()
  private readonly names: Name[] = []
  private readonly closures = new Map<string, readonly string[]>()

  constructor(readonly vocabulary: Vocabulary) {
    for (const heading of vocabulary.headings) {
      this.byId.set(heading.id, heading)
      this.addName(heading, heading.label, false)
      for (const term of heading.entryTerms) this.addName(heading, term, true)
    }
  }

  private addName(heading: Heading, text: string, entry: boolean): void {
    const folded = foldLabel(text)
    const name = { folded, words: folded.split(' '), text, entry, heading }
    this.names.push(name)
    const known = this.byName.get(folded)
    if (known) known.push(name)
    else this.byName.set(folded, [name])
  }

  get size(): number {
    return this.byId.size
  }

  heading(id: string): Heading | undefined {
    return this.byId.get(id)
  }

  /** The headings of these ids, in order of their labels; unknown ids are left out. */
  all(ids: readonly string[]): Heading[] {
    return ids
      .flatMap((id) => this.byId.get(id) ?? [])
      .sort((a, b) => (a.label < b.label ? -1 : a.label > b.label ? 1 : 0))
  }

  /** The heading with this preferred label, signs and capitals aside. */
  byLabel(label: string): Heading | undefined {
    return this.byName.get(foldLabel(label))?.find((n) => !n.entry)?.heading
  }

  /** The headings that this entry term leads to; usually one. */
  byEntryTerm(term: string): Heading[] {
    return (
      this.byName
        .get(foldLabel(term))
        ?.filter((n) => n.entry)
        .map((n) => n.heading) ?? []
    )
  }

  /** The heading and all below it, itself first, each once. */
  withNarrower(heading: Heading): Heading[] {
    const found = new Map<string, Heading>([[heading.id, heading]])
    const open = [heading]
    for (let next = open.pop(); next; next = open.pop())
      for (const id of next.narrower) {
        const below = this.byId.get(id)
        if (below && !found.has(id)) {
          found.set(id, below)
          open.push(below)
        }
      }
    return [...found.values()]
  }

  /** Folded labels for the engine: the heading alone, or with all below it. Undefined if there is none of this label. */
  foldedLabels(label: string, below: boolean): readonly string[] | undefined {
    const heading = this.byLabel(label)
    if (!heading) return undefined
    if (!below) return [foldLabel(heading.label)]
    let closure = this.closures.get(heading.id)
    if (!closure) {
      closure = this.withNarrower(heading).map((h) => foldLabel(h.label))
      this.closures.set(heading.id, closure)
    }
    return closure
  }

  /** The ways up from a heading to a top heading, topmost first, itself last. Several where there are several parents. */
  paths(heading: Heading): Heading[][] {
    const parents = this.all(heading.broader)
    if (!parents.length) return [[heading]]
    return parents.flatMap((p) => this.paths(p).map((path) => [...path, heading]))
  }

  /** Headings with nothing above them. */
  tops(): Heading[] {
    return this.all(this.vocabulary.headings.filter((h) => !h.broader.length).map((h) => h.id))
  }

  /**
   * Headings for what a person typed, best first: the label itself, an entry term, all its words in any order (each
   * begun, at least), then parts of words. Nothing typed finds nothing.
   */
  lookUp(text: string, most = 20): LookUp[] {
    const folded = foldLabel(text)
    if (!folded) return []
    const asked = folded.split(' ')
    const best = new Map<string, LookUp & { rank: number }>()
    for (const name of this.names) {
      const kind = nameMatch(name, folded, asked)
      if (!kind) continue
      const rank = KIND_RANK[kind] * 1000 + name.words.length * 10 + (name.entry ? 1 : 0)
      const known = best.get(name.heading.id)
      if (!known || rank < known.rank)
        best.set(name.heading.id, { heading: name.heading, kind, by: name.text, rank })
    }
    return [...best.values()]
      .sort((a, b) => a.rank - b.rank || (a.heading.label < b.heading.label ? -1 : 1))
      .slice(0, most)
      .map(({ heading, kind, by }) => ({ heading, kind, by }))
  }
}

function nameMatch(name: Name, folded: string, asked: string[]): MatchKind | undefined {
  if (name.folded === folded) return name.entry ? 'entry term' : 'label'
  if (asked.every((a) => name.words.some((w) => w.startsWith(a)))) return 'words'
  if (folded.length >= 3 && asked.every((a) => name.folded.includes(a))) return 'part of a word'
  return undefined
}
