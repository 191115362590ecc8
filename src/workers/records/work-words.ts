import { Builder, Index } from '@/core/engine'
import { toDocument, type Rec } from '@/core/records'
import { importOf, shownOf } from '@/core/review'
import type { Derived } from './blocks-here'
import { keepIndex, keptIndex } from './kept-index'
import type { LaidWorks, MadeFrom } from './laid-works'
import type { RecordReader } from './record-reader'

/** So many works are taken in before other questions to the desk are heard. */
const AT_ONCE = 400

/**
 * So long what is shown of each work stays in memory for its words, in milliseconds. Who does not look at the list before has
 * it read again: of 100,000 works it is 140 MB, and their words are not asked for on every stage.
 */
const SHOWN_FOR = 10_000

/** The words of the works of a review, for looking for them: kept from the last time, or taken in while other things go on. */
export class WorkWords {
  private found: Index | undefined
  private making: Promise<void> | undefined

  constructor(
    private readonly laid: LaidWorks,
    private readonly review: MadeFrom,
    private readonly reader: RecordReader,
    private readonly derived: Derived,
    private readonly keptFrom: number,
  ) {
    setTimeout(() => {
      if (!this.making) laid.shown = undefined
    }, SHOWN_FOR)
  }

  /** Resolves when words can be looked for. */
  ready(): Promise<void> {
    this.making ??= this.make().catch((error: unknown) => {
      // It may come about the next time it is asked for.
      this.making = undefined
      throw error
    })
    return this.making
  }

  get index(): Index {
    if (!this.found) throw new Error('The words of the works are not ready yet.')
    return this.found
  }

  private async make(): Promise<void> {
    const { laid, review, derived } = this
    const kept = await keptIndex(derived, review.id, laid.from)
    if (kept) {
      this.found = new Index(kept, () => kept)
      return
    }
    const builder = new Builder()
    for (let at = 0; at < laid.works.works.length; at++) {
      const record = laid.shown?.[at] ?? (await this.shownOf(laid.works.works[at]!.records))
      builder.add(record ? toDocument(record) : NOTHING)
      // Each is let go of at once: together they take as much memory as their words.
      if (laid.shown) laid.shown[at] = undefined
      if (at % AT_ONCE === AT_ONCE - 1) await hear()
    }
    this.found = builder.finish()
    laid.shown = undefined
    if (laid.works.works.length < this.keptFrom || laid.lost) return
    // Limits are not asked of a list, and what they go by would take the longest to read again.
    await keepIndex(derived, review.id, laid.from, { ...this.found.heads, ...this.found.words, facets: [] })
  }

  private async shownOf(names: readonly string[]): Promise<Rec | undefined> {
    const { imports, partition, choices } = this.review
    const own = names.map(async (id) => {
      const of = imports.find((i) => i.id === importOf(id))!
      const record = await this.reader.record(of, id)
      return record ? [{ id, sourceId: of.sourceId, record }] : []
    })
    const records = (await Promise.all(own)).flat()
    return records.length ? shownOf(records, partition ? (choices ?? []) : undefined) : undefined
  }
}

const NOTHING = { fields: {}, headings: [], classes: [], facets: {} }

/** Lets the worker hear what else is asked of it. */
const hear = (): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      done()
    }
    port2.postMessage(undefined)
  })
