import { plainJson, digestOf } from '@/core/base'
import { layColumns, type ListColumns, type Rec } from '@/core/records'
import {
  citationsOf,
  importOf,
  importsToRead,
  packWorks,
  recordPlace,
  standingImports,
  unpackWorks,
  worksMadeFrom,
  worksOf,
  type Citations,
  type Import,
  type PackedWorks,
  type Review,
  type Works,
} from '@/core/review'
import type { BlocksHere, Derived } from './blocks-here'
import type { RecordReader } from './record-reader'

/** Raised when columns or works are laid out otherwise: what was kept in another way is made again. */
const LAYOUT = 1
/** From so many works on, what was laid out is kept for the next opening; fewer are laid out in no time. */
export const KEPT_FROM = 5000

/** What works are made from. */
export type MadeFrom = Pick<Review, 'id' | 'imports' | 'decisions' | 'rulings' | 'partition' | 'choices'>

/** The works of a review laid out for lists and counts, without their records. */
export interface LaidWorks {
  /** Identifies what they were made from. */
  from: string
  works: Works
  columns: ListColumns
  citations: Citations
  /** How many records are not in this browser. */
  lost: number
  /** What is shown of each work, as long as its words are not taken in. */
  shown: (Rec | undefined)[] | undefined
}

interface Kept {
  packed: PackedWorks
  columns: ListColumns
  citations: Citations
}

/** Identifies all that the works of a review are made from, and the way in which they are laid out. */
export const madeFrom = (review: MadeFrom): string =>
  digestOf(new TextEncoder().encode(plainJson([LAYOUT, worksMadeFrom({ ...review, knownItems: [] })])))

/** Lays works out: from what was kept of them, or from their records. */
export class Laying {
  constructor(
    private readonly blocks: BlocksHere,
    private readonly reader: RecordReader,
    private readonly derived: Derived,
    private readonly keptFrom = KEPT_FROM,
  ) {}

  async of(review: MadeFrom): Promise<LaidWorks> {
    const from = madeFrom(review)
    const kept = (await this.derived.get(review.id, 'list', from)) as Kept | undefined
    if (!kept) return this.anew(review, from)
    const steps = unpackWorks(kept.packed, review.imports)
    for (;;) {
      const step = steps.next()
      if (!step.done) continue
      const { columns, citations } = kept
      return { from, works: step.value, columns, citations, lost: await this.lost(review), shown: undefined }
    }
  }

  /** Checks the bytes of all records, one block after the other, and gives how many are missing or damaged. */
  async check(review: MadeFrom): Promise<number> {
    let lost = 0
    for (const i of standingImports(review)) if (!(await this.whole(i))) lost += i.count
    return lost
  }

  /** Are the records of an import here, just as they were written? They need not be understood for that. */
  private async whole(i: Import): Promise<boolean> {
    for (const digest of ownDigests(i)) if (!(await this.blocks.bytes(digest))) return false
    return true
  }

  private async lost(review: MadeFrom): Promise<number> {
    let lost = 0
    for (const i of standingImports(review)) if (!(await this.blocks.has(ownDigests(i)))) lost += i.count
    return lost
  }

  private async anew(review: MadeFrom, from: string): Promise<LaidWorks> {
    const records = new Map<string, readonly Rec[]>()
    const numbers = new Map<string, readonly number[]>()
    for (const i of importsToRead(review)) {
      const own = await this.reader.all(i)
      if (own) records.set(i.id, own)
    }
    const missing = importsToRead(review).some((i) => !records.has(i.id))
    const lost = standingImports(review).reduce((n, i) => n + (records.has(i.id) ? 0 : i.count), 0)
    for (const digest of [review.partition?.digest, review.partition?.toSettle]) {
      const own = digest === undefined ? undefined : await this.blocks.value(digest)
      if (own) numbers.set(digest!, own as number[])
    }
    const found = worksOf(
      { ...review, knownItems: [] },
      (i) => records.get(i.id),
      (digest) => numbers.get(digest),
    )
    const columns = layColumns(found.works)
    const citations = citationsOf(found.works, (name) => {
      const of = review.imports.find((i) => i.id === importOf(name))!
      return { sourceId: of.sourceId, record: records.get(of.id)![recordPlace(of, name)]! }
    })
    const works = withoutRecords(found)
    if (works.works.length >= this.keptFrom && !missing) {
      const kept: Kept = { packed: packWorks(works, review.imports), columns, citations }
      await this.derived.keep(review.id, 'list', from, kept)
    }
    return { from, works, columns, citations, lost, shown: found.works.map((w) => w.record) }
  }
}

/** Of an import, what its records lie under; abstracts and what else may be left out of a package lie beside. */
const ownDigests = (i: Import): string[] =>
  [i, ...(i.rest ?? []), ...(i.mended ?? [])].map((part) => part.digest)

const withoutRecords = ({ works, ...rest }: ReturnType<typeof worksOf>): Works => ({
  ...rest,
  works: works.map(({ id, records, former, sources }) => ({ id, records, former, sources })),
})
