import { gunzipSync, strFromU8 } from 'fflate'
import { facetIndex, recordFinder, Rec, type FacetIndex, type RecordFinder } from '@/core/records'
import { spellingPairs, type RunCache, type SpellingPairs } from '@/core/strategy'
import { readSkos, Thesaurus } from '@/core/vocabulary'
import {
  openStandin,
  readStandinKey,
  recordsFile,
  standin,
  vocabularyFile,
  type OpenStandin,
} from '@/standins'
import { asksOnce, fetchBytes } from './fetch-bytes'

/** What the desks of the worker share: the stand-ins and vocabularies that were asked for, each opened once. */
export class OpenSources {
  private readonly open = new Map<string, Promise<OpenStandin>>()
  private readonly finders = new Map<string, RecordFinder>()
  private readonly files = new Map<string, Promise<Thesaurus>>()
  private readonly awaited = new Map<string, (thesaurus: Thesaurus) => void>()

  source(id: string): Promise<OpenStandin> {
    let source = this.open.get(id)
    if (!source) {
      source = load(id)
      this.open.set(id, source)
      // A failed load is tried again when it is next asked for.
      source.catch(() => this.open.delete(id))
    }
    return source
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
  readonly spellings = asksOnce(async (): Promise<SpellingPairs> => {
    const { american, british } = JSON.parse(strFromU8(await fetchBytes('/data/spellings.json'))) as Record<
      'american' | 'british',
      Record<string, string>
    >
    return spellingPairs(american, british)
  })

  /** The stand-in whose records a vocabulary indexes; a vocabulary from a file indexes none that are here. */
  async behind(key: string): Promise<OpenStandin | undefined> {
    return key.startsWith('file:') ? undefined : this.source(key)
  }

  /** A vocabulary by its key. One from a file is waited for until it is handed in. */
  async thesaurus(key: string): Promise<Thesaurus | undefined> {
    if (!key.startsWith('file:')) return (await this.source(key)).thesaurus
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

async function load(key: string): Promise<OpenStandin> {
  const { id, release } = readStandinKey(key)
  const info = standin(id)
  if (!info) throw new Error(`There is no stand-in "${id}".`)
  const vocabulary = vocabularyFile(info)
  const [records, turtle] = await Promise.all([
    fetchBytes(`/data/${recordsFile(info, release)}`),
    vocabulary ? fetchBytes(`/data/${vocabulary}`) : undefined,
  ])
  const read = turtle && readSkos(strFromU8(turtle))
  if (read && !read.ok) throw new Error(read.problems.map((p) => p.message).join(' '))
  return openStandin(info, release, JSON.parse(strFromU8(gunzipSync(records))) as Rec[], read?.value)
}
