import { fold, nextEntry, worksOf, type Entry, type Packed, type Review, type Work } from '@/core/review'
import { decoded } from './blobs'
import { addEntries, readEntries, removeReview, storeReview, type ShelfItem } from './db'
import type { Ground } from './environment'
import { Refusal } from './refusal'
import { shelfItem } from './shelf-item'

export interface ShelfOptions extends Pick<Ground, 'connection' | 'now' | 'newId'> {
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

  /** Begins an empty review and gives its id; rejects where it cannot be stored. */
  async begin(title: string): Promise<string> {
    const { now, by, newId } = this.options
    const id = newId()
    const entries = [nextEntry(undefined, { kind: 'review.create', payload: { id, title } }, now(), by())]
    await addEntries(await this.options.connection.get(), id, entries)
    await this.write(id, entries, fold(entries).review, [])
    return id
  }

  /** Puts a review that was checked whole into this browser, in one go, and gives its id. */
  async store({ entries, blobs }: Packed, demo = false): Promise<string> {
    const { review } = fold(entries)
    const db = await this.options.connection.get()
    const taken = await readEntries(db, review.id)
    // The same journal, as far as both go: keep the longer one. Otherwise the one here is not touched.
    if (!taken.slice(0, entries.length).every((e, i) => e.digest === entries[i]!.digest))
      throw new Refusal(
        'A review with the same origin but another history is already on the shelf. Remove that one for good first, or keep working in it.',
      )
    const longer = entries.length > taken.length ? entries : taken
    const { review: present } = longer === entries ? { review } : fold(longer)
    const works = worksOf(
      present.imports,
      (digest) => {
        const bytes = blobs.get(digest)
        return bytes && decoded(bytes)
      },
      present.rulings,
    )
    const known = await db.get('shelf', review.id)
    const item = shelfItem(review.id, longer, present, works, demo || (known?.demo ?? false))
    await storeReview(db, review.id, entries.slice(taken.length), blobs, item)
    this.show([item, ...this.items.filter((i) => i.id !== item.id)])
    return review.id
  }

  /** Writes the line of a review. */
  async write(id: string, entries: readonly Entry[], review: Review, works: Work[]): Promise<void> {
    const db = await this.options.connection.get()
    const tx = db.transaction(['entries', 'shelf'], 'readwrite')
    const known = await tx.objectStore('shelf').get(id)
    const line = shelfItem(id, entries, review, works, known?.demo ?? false)
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
    this.show(this.items.filter((i) => i.id !== id))
  }

  private async change(id: string, change: (item: ShelfItem) => ShelfItem): Promise<void> {
    const db = await this.options.connection.get()
    const known = await db.get('shelf', id)
    if (!known) return
    const item = change(known)
    await db.put('shelf', item)
    this.show(this.items.map((i) => (i.id === id ? item : i)))
  }

  private show(items: readonly ShelfItem[]): void {
    this.items = [...items].sort((a, b) => (a.at < b.at ? 1 : -1))
    this.options.onChange(this.items)
  }
}
