import { held } from '@/core/base'
import { transfer } from 'comlink'
import {
  bestValues,
  byYear,
  findableIn,
  judgeRecords,
  overlapOf,
  recordFinder,
  valuesIn,
  WorkList,
  writeTable,
  WRITERS,
  type AskedWorks,
  type BestValue,
  type ByYear,
  type Changing,
  type Judgement,
  type Overlap,
  type Rec,
  type WorkFacet,
  type Writable,
  handedName,
} from '@/core/records'
import {
  chosenFor,
  importOf,
  knownAmong,
  packWorks,
  rulingsByWork,
  shownOf,
  workOf,
  type Import,
  type ReadingOrder,
  type KnownItem,
  type PackedWorks,
  type Review,
  type Ruled,
  type Work,
} from '@/core/review'
import { headingFinder, HeadingsHeld, type HeldHeading, type TermAsks } from '@/core/figures'
import {
  chanceOrder,
  expectedLeft,
  fitLikely,
  layTerms,
  likelyFirst,
  surenessOf,
  type Sureness,
  type TermRows,
} from '@/core/selection'
import type { FacetTable } from '@/core/records'
import { BlocksHere, Derived, type KeptState } from './blocks-here'
import { KEPT_FROM, Laying, madeFrom, type LaidWorks } from './laid-works'
import { RecordReader } from './record-reader'
import { WorkWords } from './work-words'

/** What the desk has to know of a review. */
export type DeskReview = Pick<
  Review,
  'id' | 'imports' | 'decisions' | 'rulings' | 'partition' | 'choices' | 'groups' | 'samePersons'
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

/** The works of a review as the page counts them, and how many of its records are not in this browser. */
export interface WorksForPage {
  works: PackedWorks
  lost: number
}

/** As many records as judging a search of another place needs. */
const MOST_BROUGHT = 5_000

/** The owner of the records of the open review: blocks, columns, index and works, apart from searching and long work. */
export class RecordsDesk {
  private readonly reader: RecordReader
  private readonly laying: Laying
  private opening: Promise<unknown> = Promise.resolve()
  private review: DeskReview | undefined
  private laid: LaidWorks | undefined
  private words: WorkWords | undefined
  private ruled: Ruled | undefined
  private list: WorkList | undefined
  private groups: { id: string; records: ReadonlySet<string> }[] = []
  private changing: Changing = this.changingNow()
  private asked = 0
  private terms: TermRows | undefined
  private last = { number: 0, places: [] as number[] }

  constructor(
    private readonly blocks = new BlocksHere(),
    private readonly derived = new Derived(),
    private readonly keptFrom = KEPT_FROM,
  ) {
    this.reader = new RecordReader(blocks)
    this.laying = new Laying(blocks, this.reader, derived, keptFrom)
  }

  /** Takes a review in, as it is now; what did not change since is not read again. Gives how many works there are. */
  open(review: DeskReview): Promise<Opened> {
    // One after the other: what the first has read the second finds there.
    const next = this.opening.then(() => this.take(review))
    this.opening = next.catch(() => undefined)
    return next
  }

  /** The same, and gives its works for the page. */
  async works(review: DeskReview, items: readonly KnownItem[]): Promise<WorksForPage> {
    await this.open(review)
    return this.forPage(this.laid!, review, items)
  }

  /** The works of a review that is not opened for it. */
  async worksOf(review: DeskReview, items: readonly KnownItem[]): Promise<WorksForPage> {
    return this.forPage(await this.laying.of(review), review, items)
  }

  private forPage(
    { works, columns, lost }: LaidWorks,
    review: DeskReview,
    items: readonly KnownItem[],
  ): WorksForPage {
    const known = items.length
      ? knownAmong(works.works, recordFinder(findableIn(columns)), items)
      : new Map<string, string>()
    const packed = packWorks({ ...works, known }, review.imports)
    return transfer({ works: packed, lost }, [
      packed.ends.buffer,
      packed.members.buffer,
      packed.formerEnds.buffer,
      packed.formers.buffer,
    ])
  }

  /** Reads all records of a review again and gives how many are missing or damaged. */
  check(review: DeskReview): Promise<number> {
    return this.laying.check(review)
  }

  /** What lies under a digest, made again from what is in memory. */
  rescued(digest: string): Promise<Uint8Array | undefined> {
    return this.reader.inMemory(digest)
  }

  /** The state that is kept of a review, held against its journal piece by piece: what else is asked comes between. */
  wrongInKept(reviewId: string): Promise<KeptState | undefined> {
    return this.blocks.wrongInKept(reviewId)
  }

  /** Lets go of what was made of a review. */
  forget(reviewId: string): Promise<void> {
    return this.derived.forget(reviewId)
  }

  private async take(review: DeskReview): Promise<Opened> {
    if (this.review?.id !== review.id || this.laid?.from !== madeFrom(review)) {
      const laid = await this.laying.of(review)
      this.laid = laid
      this.words = new WorkWords(laid, review, this.reader, this.derived, this.keptFrom)
      this.ruled = undefined
      this.terms = undefined
      this.list = new WorkList(laid.columns, () => this.words!.index)
    }
    const { works } = this.laid!
    this.review = review
    this.groups = (review.groups ?? []).map((g) => ({ id: g.id, records: new Set(g.records) }))
    this.changing = this.changingNow()
    return { works: works.works.length, toSettle: works.toSettle.length }
  }

  /** What was said of each work: found when it is first asked for, for the page waits for its works and not for this. */
  private said(): Ruled | undefined {
    const { laid, review } = this
    if (!laid || !review) return undefined
    if (
      this.ruled?.works !== laid.works ||
      this.ruled.rulings !== review.rulings ||
      this.ruled.samePersons !== review.samePersons
    )
      this.ruled = rulingsByWork(laid.works, review, this.ruled)
    return this.ruled
  }

  private get all(): readonly Work[] {
    return this.laid?.works.works ?? []
  }

  /** Answers what is asked of the list; `windowOf` gives the works of the answer. */
  async ask(asked: AskedWorks): Promise<WorksAnswer> {
    const number = ++this.asked
    const { list, words } = this
    if (!list || !words) throw new Error('No review is open at the desk of records.')
    // Whoever looks at the list will look for words in it.
    const ready = words.ready()
    if (asked.words?.trim()) await ready
    else ready.catch((error: unknown) => console.error(error))
    const { places, facets, trouble } = list.ask(asked, this.changing)
    // An answer that had to wait for the words does not take the place of a later one.
    if (number > this.last.number && list === this.list) this.last = { number, places }
    return { number, count: places.length, facets, ...(trouble === undefined ? {} : { trouble }) }
  }

  /** The works that a filter finds, by id, in the order of the list; what was asked last stays. */
  async idsOf(asked: AskedWorks): Promise<string[]> {
    const { list, words } = this
    if (!list || !words) throw new Error('No review is open at the desk of records.')
    if (asked.words?.trim()) await words.ready()
    return list.ask(asked, this.changing).places.map((p) => this.all[p]!.id)
  }

  /**
   * Works by id in an order of reading. Where what is likely in comes first: learnt from what was ruled, `said` by id, with
   * how sure that can be.
   */
  async readingOrder(
    order: ReadingOrder,
    seed: string,
    said: Readonly<Record<string, 'in' | 'out'>> = {},
  ): Promise<{ ids: string[]; sure?: Sureness }> {
    const ids = this.all.map((w) => w.id)
    const { list } = this
    if (order === 'chance') return { ids: chanceOrder(ids, seed).map((n) => ids[n]!) }
    if (order === 'year' && list)
      return { ids: list.ask({ order: 'year' }, this.changing).places.map((p) => ids[p]!) }
    if (order !== 'likely') return { ids }
    const rows = (this.terms ??= await this.layTerms())
    const labels = this.labelsOf(said)
    const sure = surenessOf(rows, labels)
    return {
      ids: likelyFirst(rows, fitLikely(rows, labels)).map((n) => ids[n]!),
      ...(sure === undefined ? {} : { sure }),
    }
  }

  /** How many works hold each of some terms, by the id under which it is asked. */
  async yields({ words, headings }: TermAsks): Promise<Record<string, number>> {
    const found: Record<string, number> = {}
    for (const { id, ask } of words) found[id] = (await this.idsOf(ask)).length
    for (const { id } of headings) found[id] = 0
    const answered = headingFinder(headings)
    // One after the other: of very many works not all records are in memory at once.
    if (headings.length)
      for (const { records } of this.all)
        for (const id of answered({ read: await this.recordsOf(records) })) found[id]! += 1
    return found
  }

  /** The headings that most records of a source have, with how many: what is known of a thesaurus that is not here. */
  async headingsHeld(sourceId: string, count: number): Promise<HeldHeading[]> {
    const held = new HeadingsHeld(sourceId)
    for (const { records } of this.all) held.add(await this.recordsOf(records))
    return held.most(count)
  }

  /** How many works without a ruling are expected to be in, by what was learnt from those that were ruled. */
  async expectedLeft(said: Readonly<Record<string, 'in' | 'out'>>): Promise<number | undefined> {
    const rows = (this.terms ??= await this.layTerms())
    return expectedLeft(rows, this.labelsOf(said))
  }

  private labelsOf(said: Readonly<Record<string, 'in' | 'out'>>): Int8Array {
    return Int8Array.from(this.all, ({ id }) => (said[id] === undefined ? -1 : Number(said[id] === 'in')))
  }

  private async layTerms(): Promise<TermRows> {
    const texts: string[][] = []
    for (const { records } of this.all) {
      const { title, abstract = '', headings } = this.shownOf(await this.recordsOf(records))
      texts.push([title, abstract, ...headings.map((h) => h.label)])
    }
    return layTerms(texts)
  }

  /** Works of the last answer from one place to another; empty where another was asked for since. */
  windowOf(number: number, from: number, to: number): WorkRow[] {
    if (number !== this.last.number) return []
    const { columns } = this.laid!
    return this.last.places.slice(from, to).map((place) => {
      const work = this.all[place]!
      return {
        id: work.id,
        title: columns.titles[place]!,
        who: columns.whos[place]!,
        journal: valuesIn(columns, 'journal', place)[0],
        sources: [...work.sources],
        records: work.records.length,
        ruled: this.ruledOf(work),
        isNew: this.isNew(work),
        groups: this.groupsOf(work),
      }
    })
  }

  /** A work with all its records, and which value comes from where. */
  async work(id: string): Promise<WorkView | undefined> {
    const work = workOf(this.all, id)
    if (!work) return undefined
    const records = await this.recordsOf(work.records)
    return {
      id: work.id,
      record: this.shownOf(records),
      records,
      values: bestValues(records, chosenFor(work.records, this.review!.choices)),
      groups: this.groupsOf(work),
      ...this.linked(work),
    }
  }

  /** What is shown of some works, in the order asked for; works that are none any more are left out. */
  async shown(ids: readonly string[]): Promise<{ id: string; record: Rec }[]> {
    const found = ids.flatMap((id) => workOf(this.all, id) ?? [])
    return Promise.all(
      found.map(async ({ id, records }) => ({ id, record: this.shownOf(await this.recordsOf(records)) })),
    )
  }

  /** The numbers under which a source has some works. */
  async numbersIn(sourceId: string, ids: readonly string[]): Promise<string[]> {
    const names = ids.flatMap((id) => workOf(this.all, id)?.records ?? [])
    const own = names.filter((name) => this.importOf(name).sourceId === sourceId)
    return [...new Set((await this.recordsOf(own)).map((r) => r.record.id))]
  }

  /** The records that were brought in of a source, with the work that each stands for; of very many the first. */
  async broughtFrom(sourceId: string): Promise<{ workId: string; record: Rec }[]> {
    const names = this.all
      .flatMap((work) =>
        work.records
          .filter((name) => this.importOf(name).sourceId === sourceId)
          .map((name) => ({ workId: work.id, name })),
      )
      .slice(0, MOST_BROUGHT)
    const records = await this.recordsOf(names.map((n) => n.name))
    return records.map(({ record }, i) => ({ workId: names[i]!.workId, record }))
  }

  /** The works that a source has under some numbers, list by list. */
  async worksUnder(sourceId: string, lists: readonly (readonly string[])[]): Promise<string[][]> {
    const under = new Map<string, string>()
    for (const { id, records } of this.all)
      for (const { record } of await this.recordsOf(
        records.filter((name) => this.importOf(name).sourceId === sourceId),
      ))
        under.set(record.id, id)
    return lists.map((list) => [...new Set(list.flatMap((number) => under.get(number) ?? []))])
  }

  /** The place of a work in the last answer; -1 where it is not in it. */
  placeOf(number: number, id: string): number {
    return number === this.last.number ? this.last.places.findIndex((p) => this.all[p]!.id === id) : -1
  }

  /** Which works of the review cite which: by the number in the source that both are of. */
  private linked(work: Work): Pick<WorkView, 'cites' | 'citedBy'> {
    const { citations, columns } = this.laid!
    const shown = (ids: ReadonlySet<string> | undefined): { id: string; title: string }[] =>
      ids?.size
        ? this.all.flatMap(({ id }, at) => (ids.has(id) ? [{ id, title: columns.titles[at]! }] : []))
        : []
    return { cites: shown(citations.cites.get(work.id)), citedBy: shown(citations.citedBy.get(work.id)) }
  }

  /** The pairs that are to be settled, each with its explanation. */
  async pairs(): Promise<PairView[]> {
    const rulingOf = (id: string): string => this.ruledOf(workOf(this.all, id)!)
    return Promise.all(
      (this.laid?.works.toSettle ?? []).map(async ({ a, b }) => {
        const [one, other] = (await this.recordsOf([a, b])) as [RecordOf, RecordOf]
        const ruled: [string, string] = [rulingOf(a), rulingOf(b)]
        return {
          a: one,
          b: other,
          judgement: judgeRecords(one.record, other.record),
          ...(ruled[0] === ruled[1] ? {} : { ruled }),
        }
      }),
    )
  }

  /** What each source gave; of all works, or of those of the last answer. */
  overlap(order: readonly string[], number?: number): Overlap {
    const works =
      number === undefined || number !== this.last.number
        ? this.all
        : this.last.places.map((p) => this.all[p]!)
    return overlapOf(works, order)
  }

  /** All works by the year in which they were published, and the source that found them. */
  byYear(): ByYear {
    const years = this.laid?.columns.years
    return byYear(
      this.all.map(({ sources }, at) => {
        const year = years?.[at] ?? -1
        return { year: year < 0 ? undefined : year, sources }
      }),
    )
  }

  /** The works of the last answer in a format, the best value of every field. */
  async write(
    number: number,
    format: Writable,
    fields?: readonly string[],
  ): Promise<{ text: string; works: number }> {
    const records = await this.lastRecords(number)
    const text = format === 'csv' && fields ? writeTable(records, fields) : WRITERS[format](records)
    return { text, works: records.length }
  }

  /** The names of all records of the works of the last answer. */
  lastNames(number: number): string[] {
    if (number !== this.last.number) throw new Error('Another list was asked for since.')
    return this.last.places.flatMap((p) => [...this.all[p]!.records])
  }

  /** The same as records. */
  async lastRecords(number: number): Promise<Rec[]> {
    if (number !== this.last.number) throw new Error('Another list was asked for since.')
    const found: Rec[] = []
    for (const p of this.last.places) {
      const { id, records } = this.all[p]!
      found.push({ ...this.shownOf(await this.recordsOf(records)), id: handedName(id) })
    }
    return found
  }

  private shownOf(records: readonly RecordOf[]): Rec {
    // Rules that came after the first form's show the best of every field.
    return shownOf(records, this.review!.partition ? (this.review!.choices ?? []) : undefined)
  }

  private changingNow(): Changing {
    return {
      ruled: (at) => [this.ruledOf(this.all[at]!)],
      groups: (at) => this.groupsOf(this.all[at]!),
      isNew: (at) => this.isNew(this.all[at]!),
    }
  }

  private importOf(name: string): Import {
    return this.review!.imports.find((i) => i.id === importOf(name))!
  }

  private recordsOf(names: readonly string[]): Promise<RecordOf[]> {
    return Promise.all(
      names.map(async (id) => {
        const of = this.importOf(id)
        const record = await this.reader.record(of, id)
        if (!record) throw new Error('The records of this work are not in this browser, or they are damaged.')
        return { id, sourceId: of.sourceId, record }
      }),
    )
  }

  private ruledOf(work: Work): string {
    const said = this.said()
    const own = Object.values((said && held(said.byWork, work.id)) ?? {}).filter((r) => r.pass === 'broad')
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
