import { beginning } from '@/core/doing'
import { tell, type Told } from '@/core/figures'
import { foldInSteps, nextEntry, besideOf, type Entry, type Opened, type Review } from '@/core/review'
import { inSteps } from './breathe'
import { LEASE, type Blobs } from './blobs'
import { freeCopyId, reviewIdOf } from './copy-ids'
import { addEntries, readEntries, removeReview, storeReview, sweep, type ShelfItem } from './db'
import type { Ground } from './environment'
import { Parted } from './refusal'
import { shelfItem } from './shelf-item'
import { inOrder } from './shelf-lines'
import { worksHere } from './works-here'

export interface ShelfOptions extends Pick<
  Ground,
  'connection' | 'now' | 'newId' | 'newSalt' | 'locks' | 'records'
> {
  blobs: Blobs
  by: () => string
  onChange: (shelf: ShelfItem[]) => void
}

/** The reviews of this browser: begun, taken from packages, put away, removed. */
export class Shelf {
  private items: ShelfItem[] = []

  constructor(private readonly options: ShelfOptions) {}

  async read(): Promise<void> {
    this.show(await (await this.options.connection.get()).getAll('shelf'))
  }

  /** How many entries the journal of a review had when its line was written; undefined where that is not known. */
  async entriesOf(id: string): Promise<number | undefined> {
    const known = await (await this.options.connection.get()).get('shelf', id)
    return known && inOrder([known])[0]?.entries
  }

  /** Is what stands here of a review a whole line? True where nothing does. */
  async isWhole(id: string): Promise<boolean> {
    const known = await (await this.options.connection.get()).get('shelf', id)
    return known === undefined || !inOrder([known])[0]?.damaged
  }

  /** Begins an empty review and gives its id; rejects where it cannot be stored. */
  async begin(title: string): Promise<string> {
    const { now, by, newId, newSalt } = this.options
    const id = newId()
    const [at, who] = [now(), by()]
    const entries: Entry[] = []
    for (const command of beginning({ id, title }))
      entries.push(nextEntry(entries.at(-1), command, { at, by: who, salt: newSalt() }))
    await addEntries(await this.options.connection.get(), id, entries)
    await this.write(id, entries, await this.told(await reviewOf(entries)))
    return id
  }

  /**
   * Puts a review that was checked whole into this browser, in one go, and gives the id under which it lies here. Where it is
   * here already, that copy goes on which has the same journal as far as both go; where none has, `beside` lays another one
   * beside them, and otherwise nothing is touched.
   */
  async store(
    { entries, digests, blob }: Opened,
    { demo = false, beside = false }: { demo?: boolean; beside?: boolean } = {},
  ): Promise<string> {
    const known = new Set(digests)
    const sideAt = async (digest: string): Promise<Uint8Array | undefined> =>
      known.has(digest) ? blob(digest) : this.options.blobs.bytes(digest)
    const review = await reviewOf(entries, sideAt)
    const db = await this.options.connection.get()
    const copies = (await db.getAllKeys('shelf')).filter((key) => reviewIdOf(key) === review.id)
    const [id, taken] = await this.sameJournal(review.id, copies, entries, beside)
    // The same journal, as far as both go: keep the longer one.
    const longer = entries.length > taken.length ? entries : taken
    const present = longer === entries ? review : await reviewOf(longer, sideAt)
    // Laid down first; the one transaction behind it makes the review exist.
    const item = await this.options.blobs.lay(async ({ keepChecked }) => {
      for (const digest of digests) await keepChecked(digest, await blob(digest))
      const known = await db.get('shelf', id)
      const line = shelfItem(id, longer, await this.told(present), demo || known?.demo === true)
      await storeReview(db, id, entries.slice(taken.length), line)
      return line
    })
    this.show([item, ...this.items.filter((i) => i.id !== item.id)])
    return id
  }

  /** Under which id a journal goes on here, and what lies there of it. */
  private async sameJournal(
    reviewId: string,
    copies: readonly string[],
    entries: readonly Entry[],
    beside: boolean,
  ): Promise<[id: string, taken: readonly Entry[]]> {
    const db = await this.options.connection.get()
    for (const id of copies.length ? copies : [reviewId]) {
      const taken = await readEntries(db, id)
      if (taken.slice(0, entries.length).every((e, i) => e.digest === entries[i]!.digest)) return [id, taken]
    }
    if (!beside) throw new Parted(copies[0] ?? reviewId)
    return [freeCopyId(reviewId, copies), []]
  }

  /** Writes the line of a review. */
  async write(id: string, entries: readonly Entry[], told: Told): Promise<void> {
    const db = await this.options.connection.get()
    const tx = db.transaction(['entries', 'shelf'], 'readwrite')
    const known = await tx.objectStore('shelf').get(id)
    const line = shelfItem(id, entries, told, known?.demo ?? false)
    const item = known?.putAway === undefined ? line : { ...line, putAway: known.putAway }
    // One that was removed, perhaps in another tab, is not put back.
    const there = (await tx.objectStore('entries').getKey([id, 0])) !== undefined
    if (there) await tx.objectStore('shelf').put(item)
    await tx.done
    if (!there) return
    this.show([item, ...this.items.filter((i) => i.id !== id)])
  }

  /** Takes a review off the shelf; all of it stays in this browser. */
  putAway(id: string): Promise<void> {
    return this.change(id, (item) => ({ ...item, putAway: this.options.now() }))
  }

  /** Puts a review that was put away on the shelf again. */
  takeBack(id: string): Promise<void> {
    return this.change(id, ({ putAway: _, ...item }) => item)
  }

  /** Removes a review from this browser, for good. */
  async remove(id: string): Promise<void> {
    await removeReview(await this.options.connection.get(), id)
    await this.options.records.forget(reviewIdOf(id))
    this.show(this.items.filter((i) => i.id !== id))
    await this.sweep()
  }

  /**
   * Removes what lies beside the journals and nothing reaches: what was laid down by a tab that ended before it wrote the
   * entry, or belonged to a review that was removed. Not while anybody lays something down. Gives how many went.
   */
  sweep(): Promise<number> {
    const { connection, locks } = this.options
    return locks.request(LEASE, { mode: 'exclusive', ifAvailable: true }, async (had) =>
      had ? sweep(await connection.get()) : 0,
    )
  }

  private async change(id: string, change: (item: ShelfItem) => ShelfItem): Promise<void> {
    const db = await this.options.connection.get()
    const known = await db.get('shelf', id)
    if (!known) return
    const { damaged: _, ...item } = change(inOrder([known])[0] ?? known)
    await db.put('shelf', item)
    this.show(this.items.map((i) => (i.id === id ? item : i)))
  }

  /** What is told of a review whose records lie in this browser. */
  private async told(review: Review): Promise<Told> {
    const { works } = await this.options.records.worksOf(review)
    return tell(review, await worksHere(works, review.imports))
  }

  private show(items: readonly ShelfItem[]): void {
    this.items = inOrder(items)
    this.options.onChange(this.items)
  }
}

const reviewOf = async (
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined> = () => Promise.resolve(undefined),
): Promise<Review> => {
  const beside = await besideOf(entries, bytesAt)
  return (await inSteps(foldInSteps(entries, undefined, beside)))!.review
}
