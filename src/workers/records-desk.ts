import {
  bestValues,
  judge,
  overlapOf,
  printOf,
  whoAndWhen,
  WorkList,
  writeTable,
  WRITERS,
  type AskedWorks,
  type BestValue,
  type Changing,
  type Judgement,
  type ListedWork,
  type Overlap,
  type Rec,
  type WorkFacet,
  type Writable,
} from '@/core/records'
import {
  chosenFor,
  citationsOf,
  importsToRead,
  recordPlace,
  rulingsByWork,
  worksOf,
  type Citations,
  type Import,
  type Review,
  type Ruled,
  type Work,
} from '@/core/review'
import type { FacetTable } from '@/core/records'
import { BlocksHere } from './blocks-here'

/** What the desk has to know of a review. */
export type DeskReview = Pick<
  Review,
  'id' | 'imports' | 'decisions' | 'rulings' | 'partition' | 'choices' | 'groups'
>

export interface Opened {
  works: number
  toSettle: number
}

/** A work in the list. */
export interface WorkRow {
  id: string
  title: string
  who: string
  journal: string | undefined
  /** The sources that found it. */
  sources: string[]
  records: number
  ruled: string
  isNew: boolean
  groups: string[]
}

export interface WorksAnswer {
  /** What its windows are asked for by. */
  number: number
  count: number
  facets: Record<WorkFacet, FacetTable>
  trouble?: string
}

/** One record of a work, with where it came from. */
export interface RecordOf {
  id: string
  sourceId: string
  record: Rec
}

export interface WorkView {
  id: string
  record: Rec
  records: RecordOf[]
  values: BestValue[]
  groups: string[]
  /** Works of the review that one of its records cites, and that cite one of its records. */
  cites: { id: string; title: string }[]
  citedBy: { id: string; title: string }[]
}

/** A pair to settle: its records, what speaks for and against, and what was ruled of each. */
export interface PairView {
  a: RecordOf
  b: RecordOf
  judgement: Judgement
  /** The words that were said of each in the broad pass, where they differ. */
  ruled?: [string, string]
}

/** The owner of the records of the open review: blocks, columns, index and works, apart from searching and long work. */
export class RecordsDesk {
  private readonly blocks = new BlocksHere()
  private opening: Promise<unknown> = Promise.resolve()
  private readonly records = new Map<string, readonly Rec[]>()
  private readonly numbers = new Map<string, readonly number[]>()
  private review: DeskReview | undefined
  private works: readonly Work[] = []
  private ruled: Ruled | undefined
  private toSettle: readonly { a: string; b: string }[] = []
  private list = new WorkList([])
  private groups: { id: string; records: ReadonlySet<string> }[] = []
  private citations: Citations | undefined
  private changing: Changing = this.changingNow()
  private last = { number: 0, places: [] as number[] }

  /** Takes a review in, as it is now; what did not change since is not read again. Gives how many works there are. */
  open(review: DeskReview): Promise<Opened> {
    // One after the other: what the first has read the second finds there.
    const next = this.opening.then(() => this.take(review))
    this.opening = next.catch(() => undefined)
    return next
  }

  private async take(review: DeskReview): Promise<Opened> {
    const before = this.review
    for (const i of importsToRead(review)) {
      if (this.records.has(i.id)) continue
      const own = await this.blocks.records(i)
      if (own) this.records.set(i.id, own)
    }
    for (const digest of [review.partition?.digest, review.partition?.toSettle]) {
      if (digest === undefined || this.numbers.has(digest)) continue
      const own = await this.blocks.value(digest)
      if (own) this.numbers.set(digest, own as number[])
    }
    const same =
      before?.id === review.id &&
      JSON.stringify(steadyOf(before)) === JSON.stringify(steadyOf(review)) &&
      Object.keys(before.rulings).every((k) => k in review.rulings)
    const found =
      same && this.ruled
        ? this.ruled.works
        : worksOf(
            review,
            (i) => this.records.get(i.id),
            (digest) => this.numbers.get(digest),
          )
    if (this.works !== found.works) {
      this.list = new WorkList(found.works.map(listed))
      this.citations = undefined
    }
    this.works = found.works
    this.toSettle = found.toSettle
    this.ruled = rulingsByWork(found, review.rulings)
    this.review = review
    this.groups = (review.groups ?? []).map((g) => ({ id: g.id, records: new Set(g.records) }))
    this.changing = this.changingNow()
    return { works: found.works.length, toSettle: found.toSettle.length }
  }

  /** Answers what is asked of the list; `windowOf` gives the works of the answer. */
  ask(asked: AskedWorks): WorksAnswer {
    const { places, facets, trouble } = this.list.ask(asked, this.changing)
    this.last = { number: this.last.number + 1, places }
    return {
      number: this.last.number,
      count: places.length,
      facets,
      ...(trouble === undefined ? {} : { trouble }),
    }
  }

  /** Works of the last answer from one place to another; empty where another was asked for since. */
  windowOf(number: number, from: number, to: number): WorkRow[] {
    if (number !== this.last.number) return []
    return this.last.places.slice(from, to).map((place) => {
      const work = this.works[place]!
      const { record } = work
      return {
        id: work.id,
        title: record.title,
        who: whoAndWhen(record),
        journal: record.journal,
        sources: sourcesOf(work),
        records: work.records.length,
        ruled: this.ruledOf(work),
        isNew: this.isNew(work),
        groups: this.groupsOf(work),
      }
    })
  }

  /** A work with all its records, and which value comes from where. */
  work(id: string): WorkView | undefined {
    const work = this.works.find((w) => w.id === id || w.records.includes(id))
    if (!work) return undefined
    const records = work.records.map((own) => this.recordOf(own))
    return {
      id: work.id,
      record: work.record,
      records,
      values: bestValues(records, chosenFor(work.records, this.review!.choices)),
      groups: this.groupsOf(work),
      ...this.linked(work),
    }
  }

  /** The place of a work in the last answer; -1 where it is not in it. */
  placeOf(number: number, id: string): number {
    return number === this.last.number ? this.last.places.findIndex((p) => this.works[p]!.id === id) : -1
  }

  /** Which works of the review cite which: by the number in the source that both are of. Found when first asked for. */
  private linked(work: Work): Pick<WorkView, 'cites' | 'citedBy'> {
    this.citations ??= citationsOf(this.works, (id) => this.recordOf(id))
    const shown = (ids: ReadonlySet<string> | undefined): { id: string; title: string }[] =>
      this.works.filter((w) => ids?.has(w.id)).map((w) => ({ id: w.id, title: w.record.title }))
    return {
      cites: shown(this.citations.cites.get(work.id)),
      citedBy: shown(this.citations.citedBy.get(work.id)),
    }
  }

  /** The pairs that are to be settled, each with its explanation. */
  pairs(): PairView[] {
    const rulingOf = (id: string): string => this.ruledOf(this.works.find((w) => w.records.includes(id))!)
    return this.toSettle.map(({ a, b }) => {
      const [one, other] = [this.recordOf(a), this.recordOf(b)]
      const ruled: [string, string] = [rulingOf(a), rulingOf(b)]
      return {
        a: one,
        b: other,
        judgement: judge(printOf(one.record), printOf(other.record)),
        ...(ruled[0] === ruled[1] ? {} : { ruled }),
      }
    })
  }

  /** What each source gave; of all works, or of those of the last answer. */
  overlap(order: readonly string[], number?: number): Overlap {
    const works =
      number === undefined || number !== this.last.number
        ? this.works
        : this.last.places.map((p) => this.works[p]!)
    return overlapOf(
      works.map((w) => ({ sources: sourcesOf(w) })),
      order,
    )
  }

  /** The works of the last answer in a format, the best value of every field. */
  write(number: number, format: Writable, fields?: readonly string[]): { text: string; works: number } {
    const records = this.lastRecords(number)
    const text = format === 'csv' && fields ? writeTable(records, fields) : WRITERS[format](records)
    return { text, works: records.length }
  }

  /** The same as records. */
  lastRecords(number: number): Rec[] {
    if (number !== this.last.number) throw new Error('Another list was asked for since.')
    return this.last.places.map((p) => {
      const { id, record } = this.works[p]!
      return { ...record, id: id.replace('/', '-') }
    })
  }

  private changingNow(): Changing {
    return {
      ruled: (at) => [this.ruledOf(this.works[at]!)],
      groups: (at) => this.groupsOf(this.works[at]!),
      isNew: (at) => this.isNew(this.works[at]!),
    }
  }

  private recordOf(id: string): RecordOf {
    const importId = id.slice(0, id.lastIndexOf('/'))
    const of = this.review!.imports.find((i: Import) => i.id === importId)!
    return { id, sourceId: of.sourceId, record: this.records.get(importId)![recordPlace(of, id)]! }
  }

  private ruledOf(work: Work): string {
    const own = Object.values(this.ruled?.byWork[work.id] ?? {}).filter((r) => r.pass === 'broad')
    if (!own.length) return 'not yet'
    const verdicts = [...new Set(own.map((r) => (r.toSettle ? 'to settle' : r.verdict)))]
    return verdicts.length > 1 ? 'differently' : verdicts[0]!
  }

  private groupsOf(work: Work): string[] {
    return this.groups.filter((g) => work.records.some((id) => g.records.has(id))).map((g) => g.id)
  }

  private isNew(work: Work): boolean {
    const latest = this.review?.imports.at(-1)
    return (
      latest !== undefined &&
      this.review!.imports.length > 1 &&
      work.records.every((id) => id.startsWith(`${latest.id}/`))
    )
  }
}

const steadyOf = ({ imports, decisions, partition, choices }: DeskReview): unknown => [
  imports.map((i) => [i.id, i.takenOut, i.supersedes]),
  decisions,
  partition,
  choices,
]
const sourcesOf = (work: Work): string[] => [...new Set(work.from.map((f) => f.sourceId))]
const listed = (work: Work): ListedWork => ({
  id: work.id,
  record: work.record,
  sources: sourcesOf(work),
  added: work.records[0]!,
})
