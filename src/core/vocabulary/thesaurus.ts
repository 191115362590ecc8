import { firstOf, foldLabel } from '../base'
import { looseKey } from './loose'
import type { Heading, Vocabulary } from './heading'

/** Why a look-up offers a heading, best first. */
export type MatchKind = 'label' | 'entry term' | 'beginning' | 'words' | 'part of a word'

export interface LookUp {
  heading: Heading
  kind: MatchKind
  /** The label or entry term that matched. */
  by: string
}

const KIND_RANK: Record<MatchKind, number> = {
  label: 0,
  'entry term': 1,
  beginning: 2,
  words: 3,
  'part of a word': 4,
}

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
  private lookUpWords: WordIndex | undefined
  private looseNames: Map<string, Name[]> | undefined
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

  /** Headings whose label or entry term says the same but for plural endings and little words; labels first. */
  byLooseName(text: string): { heading: Heading; by: string; entry: boolean }[] {
    if (!this.looseNames) {
      this.looseNames = new Map()
      for (const name of this.names) {
        const key = looseKey(name.text)
        const known = this.looseNames.get(key)
        if (known) known.push(name)
        else this.looseNames.set(key, [name])
      }
    }
    const found = new Map<string, { heading: Heading; by: string; entry: boolean }>()
    const key = looseKey(text)
    const names = key ? (this.looseNames.get(key) ?? []) : []
    for (const { heading, text: by, entry } of [...names].sort((a, b) => Number(a.entry) - Number(b.entry)))
      if (!found.has(heading.id)) found.set(heading.id, { heading, by, entry })
    return [...found.values()]
  }

  /**
   * Headings for what a person typed, best first: the label itself, an entry term, a name that begins so, all its words
   * in any order (each begun, at least), then parts of words; within each of these by how many records have the heading
   * (`postings`, where records are at hand), then the shorter name. Nothing typed finds nothing. Words are found through
   * an index, so that a vocabulary of thirty thousand headings answers within a keystroke.
   */
  lookUp(text: string, most = 20, postings?: (heading: Heading) => number): LookUp[] {
    const folded = foldLabel(text)
    if (!folded) return []
    this.lookUpWords ??= new WordIndex(this.names)
    const asked = folded.split(' ')
    const found = new Map<number, number>()
    const words = this.lookUpWords
    // One heading may be met by several of its names: the best one counts. Numbers only, for one letter meets thousands.
    const offer = (n: number, kind: MatchKind): void => {
      const heading = words.headingOf[n]!
      const rank = KIND_RANK[kind] * 1000 + words.lengthOf[n]!
      const known = found.get(heading)
      if (known === undefined || rank < Math.floor(known / NAMES)) found.set(heading, rank * NAMES + n)
    }
    for (const n of words.begun(asked)) {
      const name = this.names[n]!
      offer(
        n,
        name.folded === folded
          ? name.entry
            ? 'entry term'
            : 'label'
          : name.folded.startsWith(folded)
            ? 'beginning'
            : 'words',
      )
    }
    // Parts of words stand last in any case: they are looked for only while there is room.
    if (found.size < most && folded.length >= 3)
      for (const n of words.holding(asked)) offer(n, 'part of a word')
    const weights = new Map<Heading, number>()
    const weigh = (heading: Heading): number => {
      let weight = weights.get(heading)
      if (weight === undefined) weights.set(heading, (weight = postings!(heading)))
      return weight
    }
    const before = (a: number, b: number): number => {
      const rankA = Math.floor(a / NAMES)
      const rankB = Math.floor(b / NAMES)
      // Without records the rank says it nearly always; one letter asks this of half a vocabulary.
      if (!postings && rankA !== rankB) return rankA - rankB
      const kinds = Math.floor(rankA / 1000) - Math.floor(rankB / 1000)
      if (kinds) return kinds
      const one = this.names[a % NAMES]!.heading
      const other = this.names[b % NAMES]!.heading
      return (
        (postings ? weigh(other) - weigh(one) : 0) ||
        rankA - rankB ||
        (one.label < other.label ? -1 : one.label > other.label ? 1 : 0)
      )
    }
    return firstOf(found.values(), most, before).map((one) => {
      const name = this.names[one % NAMES]!
      const kind = Math.floor(one / NAMES / 1000)
      return { heading: name.heading, kind: KINDS[kind]!, by: name.text }
    })
  }
}

/** A find is its rank times this, plus the number of the name: numbers sort and compare without objects. */
const NAMES = 2 ** 28
const KINDS = Object.keys(KIND_RANK) as MatchKind[]

/** The words of names in alphabetical order, each with the numbers of the names that have it. */
class WordIndex {
  private readonly words: string[]
  private readonly names: number[][]
  /** By name: how many of the words asked it has met, in the round of asking that `round` numbers. */
  private readonly met: Int32Array
  private round = 0
  /** By name: the number of its heading, and how far its length puts it back. */
  readonly headingOf: Int32Array
  readonly lengthOf: Int32Array

  constructor(names: readonly Name[]) {
    const numbers = new Map<Heading, number>()
    this.headingOf = Int32Array.from(names, ({ heading }) => {
      const number = numbers.get(heading) ?? numbers.size
      numbers.set(heading, number)
      return number
    })
    this.lengthOf = Int32Array.from(names, ({ words, entry }) => words.length * 10 + (entry ? 1 : 0))
    const byWord = new Map<string, number[]>()
    names.forEach((name, n) => {
      for (const word of new Set(name.words)) {
        const known = byWord.get(word)
        if (known) known.push(n)
        else byWord.set(word, [n])
      }
    })
    this.words = [...byWord.keys()].sort()
    this.names = this.words.map((word) => byWord.get(word)!)
    this.met = new Int32Array(names.length)
  }

  /** Names in which each of these words is begun by some word. */
  begun(asked: readonly string[]): number[] {
    return this.allOf(asked, (word, visit) => {
      let low = 0
      let high = this.words.length
      while (low < high) {
        const middle = (low + high) >>> 1
        if (this.words[middle]! < word) low = middle + 1
        else high = middle
      }
      for (let w = low; w < this.words.length && this.words[w]!.startsWith(word); w++) visit(this.names[w]!)
    })
  }

  /** Names in which each of these stands within some word. */
  holding(asked: readonly string[]): number[] {
    return this.allOf(asked, (part, visit) => {
      for (let w = 0; w < this.words.length; w++) if (this.words[w]!.includes(part)) visit(this.names[w]!)
    })
  }

  /** Names met by every word. A name's mark counts up word by word, so that nothing has to be cleared or copied. */
  private allOf(
    asked: readonly string[],
    find: (word: string, visit: (names: readonly number[]) => void) => void,
  ): number[] {
    const { met } = this
    let start = this.round
    // A mark must not run over; clearing once in a very long while does no harm.
    if (start > 1e9) {
      met.fill(0)
      start = 0
    }
    this.round = start + asked.length + 1
    let found: number[] = []
    asked.forEach((word, k) => {
      const last = k === asked.length - 1
      if (last) found = []
      find(word, (names) => {
        for (const n of names) {
          const mark = met[n]!
          if (k === 0 ? mark <= start : mark === start + k) {
            met[n] = start + k + 1
            if (last) found.push(n)
          }
        }
      })
    })
    return found
  }
}
