import { facetIndex, recordFinder, Rec, type FacetIndex, type RecordFinder } from '@/core/records'
import { spellingPairs, type RunCache, type SpellingPairs } from '@/core/strategy'
import { readSkos, Thesaurus, type Vocabulary } from '@/core/vocabulary'
import { openStandin, readStandinKey, standin, type OpenStandin, type StandinInfo } from '@/standins'
import { asksOnce } from './data/asks-once'
import { readData } from './data/data-door'
import { recordsData, SPELLINGS, vocabularyData } from './data/data-files'

/** What the desks of the worker share: the stand-ins and vocabularies that were asked for, each opened once. */
export class OpenSources {
  private readonly open = new Map<string, Promise<OpenStandin>>()
  private readonly finders = new Map<string, RecordFinder>()
  private readonly files = new Map<string, Promise<Thesaurus>>()
  private readonly awaited = new Map<string, (thesaurus: Thesaurus) => void>()

  private readonly vocabularies = new Map<string, Promise<Vocabulary | undefined>>()
  private readonly shippedHere = new Map<string, Promise<Thesaurus | undefined>>()

  source(id: string): Promise<OpenStandin> {
    return asked(this.open, id, () => load(id, (info) => this.vocabulary(info)))
  }

  /** The vocabulary of a stand-in, the same in all its releases; its records are not read for it. */
  private vocabulary(info: StandinInfo): Promise<Vocabulary | undefined> {
    return asked(this.vocabularies, info.id, () => readVocabularyOf(info))
  }

  /** A vocabulary that ships with Luvren, read for itself. */
  private async shipped(key: string): Promise<Thesaurus | undefined> {
    const open = this.open.get(key)
    if (open) return (await open).thesaurus
    const info = infoOf(key)
    return asked(this.shippedHere, info.id, async () => {
      const read = await this.vocabulary(info)
      return read && new Thesaurus(read)
    })
  }

  async finder(id: string): Promise<RecordFinder> {
    const { records } = await this.source(id)
    let finder = this.finders.get(id)
    if (!finder) this.finders.set(id, (finder = recordFinder(records)))
    return finder
  }

  private readonly facetsOf = new Map<string, FacetIndex>()
  /** The facets of all records of a stand-in, laid out when they are first looked at. */
  async facets(id: string): Promise<FacetIndex> {
    const { records } = await this.source(id)
    let index = this.facetsOf.get(id)
    if (!index) this.facetsOf.set(id, (index = facetIndex(records)))
    return index
  }

  private readonly caches = new Map<string, RunCache>()
  /** What a stand-in found for the lines of its last run; shared, so that no desk searches again what another has. */
  cache(id: string): RunCache {
    let cache = this.caches.get(id)
    if (!cache) this.caches.set(id, (cache = new Map()))
    return cache
  }

  /** Spellings on both sides of the ocean; read when first asked for. */
  readonly spellings = asksOnce(() =>
    readData(SPELLINGS, (text): SpellingPairs => {
      const { american, british } = JSON.parse(text) as Record<'american' | 'british', Record<string, string>>
      return spellingPairs(american, british)
    }),
  )

  /** The stand-in whose records a vocabulary indexes; a vocabulary from a file indexes none that are here. */
  async behind(key: string): Promise<OpenStandin | undefined> {
    return key.startsWith('file:') ? undefined : this.source(key)
  }

  /** A vocabulary by its key. One from a file is waited for until it is handed in. */
  async thesaurus(key: string): Promise<Thesaurus | undefined> {
    if (!key.startsWith('file:')) return this.shipped(key)
    let file = this.files.get(key)
    if (!file) this.files.set(key, (file = new Promise((done) => this.awaited.set(key, done))))
    return file
  }

  has(key: string): boolean {
    return this.files.has(key) && !this.awaited.has(key)
  }

  hand(key: string, thesaurus: Thesaurus): void {
    const waiting = this.awaited.get(key)
    this.awaited.delete(key)
    if (waiting) waiting(thesaurus)
    else this.files.set(key, Promise.resolve(thesaurus))
  }
}

/** What is asked for once; where that failed, it is tried again when it is next asked for. */
function asked<T>(known: Map<string, Promise<T>>, key: string, ask: () => Promise<T>): Promise<T> {
  const there = known.get(key)
  if (there) return there
  const made = ask()
  known.set(key, made)
  made.catch(() => known.delete(key))
  return made
}

function infoOf(key: string): StandinInfo {
  const { id } = readStandinKey(key)
  const info = standin(id)
  if (!info) throw new Error(`There is no stand-in "${id}".`)
  return info
}

async function readVocabularyOf(info: StandinInfo): Promise<Vocabulary | undefined> {
  const file = vocabularyData(info)
  return (
    file &&
    readData(file, (text) => {
      const read = readSkos(text)
      if (!read.ok) throw new Error(read.problems.map((p) => p.message).join(' '))
      return read.value
    })
  )
}

async function load(
  key: string,
  vocabularyOf: (info: StandinInfo) => Promise<Vocabulary | undefined>,
): Promise<OpenStandin> {
  const info = infoOf(key)
  const { release } = readStandinKey(key)
  const [records, vocabulary] = await Promise.all([
    readData(recordsData(info, release), (text) => JSON.parse(text) as Rec[]),
    vocabularyOf(info),
  ])
  return openStandin(info, release, records, vocabulary)
}
