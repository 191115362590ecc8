import { drain, digestOf } from '../core/base'
import { importOf, partitionSet } from '../core/doing'
import { blockBytes, emptyRecord, layOut, toDocument, type Rec } from '../core/records'
import { partitionOf, worksOf, type Import, type Kept, type WorkRead, type Works } from '../core/review'
import { Scanned } from '../core/engine'
import { parse } from '../core/query'
import type { OpenStandin } from '.'
import type { Diary } from './diary'

/** The records of the demo as they are brought in and told apart, and everything that lies beside its journal for it. */
export class DemoRecords {
  readonly blobs = new Map<string, Uint8Array>()
  private readonly records = new Map<string, readonly Rec[]>()
  private readonly numbers = new Map<string, readonly number[]>()
  private kept: Kept | undefined

  constructor(private readonly diary: Diary) {}

  /** Brings the records of a stand-in in, newest first, and what the rules make of all records then. */
  bring(standin: OpenStandin, docs: ArrayLike<number>, runId: string): void {
    const records = Array.from(docs, (d) => standin.records[d]!).sort(
      (a, b) => (b.year ?? 0) - (a.year ?? 0) || (a.id < b.id ? -1 : 1),
    )
    this.bringRecords(`demo-${standin.info.id}`, records, runId)
  }

  bringRecords(sourceId: string, records: readonly Rec[], runId?: string): void {
    const { diary } = this
    const { at, bytes } = layOut(records)
    for (const [digest, own] of bytes) this.blobs.set(digest, own)
    this.records.set(at.digest, records)
    const { kind, payload } = importOf(
      { review: diary.review(), now: diary.now(), newId: () => diary.id('import') },
      { sourceId, at, count: records.length, ...(runId === undefined ? {} : { runId }) },
    )
    diary.do(kind, payload)
    const { imports } = diary.review()
    const { stored, kept } = drain(partitionOf(imports, (i) => this.recordsOf(i), this.kept))
    this.kept = kept
    const set = partitionSet(stored.imports, this.keep(stored.classes), this.keep(stored.toSettle))
    diary.do('partition.set', set.payload)
  }

  /** Brings in what the reader had collected before: a few works that are there already, as she had noted them, and others. */
  bringOwn(sourceId: string): void {
    const { works } = this.works()
    const known = works
      .filter((w) => w.record.title.includes(':') && w.record.authors.length > 1)
      .slice(20, 32)
    const noted = known.map(({ record }, n): Rec => {
      const bare: Rec = { ...emptyRecord(`note-${n + 1}`, record.title), authors: [...record.authors] }
      if (n % 3 === 0)
        return { ...bare, ...yearOf(record.year), ...journalOf(record.journal), ...doiOf(record.doi) }
      // Noted from memory: the title up to its colon, a year that is one off, no place.
      return {
        ...bare,
        title: record.title.slice(0, record.title.indexOf(':')),
        authors: record.authors.slice(0, 2),
        ...yearOf(record.year === undefined ? undefined : record.year - (n % 2)),
      }
    })
    const others = [
      ['Teachers’ voices and the far corner: Notes from an inspection', 'Quill, Anna', 2018],
      ['What carpets do to a reading lesson', 'Marqvik, Selma', 2020],
      ['Rain on a school roof: Spectra and complaints', 'Torvanen, Ove', 2021],
    ] as const
    this.bringRecords(sourceId, [
      ...noted,
      ...others.map(([title, author, year], n): Rec => ({
        ...emptyRecord(`note-${noted.length + n + 1}`, title),
        authors: [author],
        year,
        type: 'report',
      })),
    ])
  }

  /** The works as they stand now. */
  works(): Works<WorkRead> {
    return worksOf(
      this.diary.review(),
      (i) => this.recordsOf(i),
      (digest) => this.numbers.get(digest),
    )
  }

  /** Settles some pairs and leaves the others; puts works into a group, and keeps two filters. */
  work(): void {
    const { diary } = this
    const { toSettle } = this.works()
    toSettle.slice(0, Math.ceil(toSettle.length / 2)).forEach(({ a, b }, n) => {
      diary.do(n % 3 === 2 ? 'pair.part' : 'pair.join', { a, b }, 30 + n)
    })
    const { works } = this.works()
    diary.do('group.set', { id: 'demo-group-1', name: 'For the introduction' })
    const rooms = parse('title: (acoustic* OR reverberat*)').tree!
    const some = works.filter((w) => new Scanned(toDocument(w.record)).matches(rooms)).slice(0, 7)
    diary.do('group.put', { id: 'demo-group-1', records: some.map((w) => w.id), in: true })
    diary.do('filter.set', {
      id: 'demo-filter-1',
      name: 'Found once, since 2022',
      chosen: { 'found in': ['one source'], year: ['2022', '2023', '2024', '2025', '2026'] },
    })
    diary.do('filter.set', { id: 'demo-filter-2', name: 'Noise in titles', words: 'title: noise' })
  }

  private recordsOf(i: Import): readonly Rec[] | undefined {
    return this.records.get(i.digest)
  }

  private keep(numbers: readonly number[]): string {
    const bytes = blockBytes(numbers)
    const digest = digestOf(bytes)
    this.blobs.set(digest, bytes)
    this.numbers.set(digest, numbers)
    return digest
  }
}

const yearOf = (year: number | undefined) => (year === undefined ? {} : { year })
const journalOf = (journal: string | undefined) => (journal === undefined ? {} : { journal })
const doiOf = (doi: string | undefined) => (doi === undefined ? {} : { doi })
