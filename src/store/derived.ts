import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

interface Schema extends DBSchema {
  made: {
    key: [string, string]
    value: { reviewId: string; what: string; from: string; value: unknown }
  }
}

/** Of so many reviews what was made is kept: of the one at work, and of others. */
const REVIEWS = 2

/**
 * What was made from a review's records and can be made again at any time: columns, the index of words. It lies in a
 * database of its own, so that whatever goes wrong with it costs time and nothing else.
 */
export class Derived {
  private db: Promise<IDBPDatabase<Schema>> | undefined

  constructor(private readonly name = 'luvren-derived') {}

  private open(): Promise<IDBPDatabase<Schema>> {
    this.db ??= openDB<Schema>(this.name, 1, {
      upgrade: (db) => {
        db.createObjectStore('made', { keyPath: ['reviewId', 'what'] })
      },
      blocking: (_current, _wanted, event) => {
        this.db = undefined
        ;(event.target as IDBDatabase).close()
      },
      terminated: () => {
        this.db = undefined
      },
    })
    // A connection that could not be had is asked for again the next time.
    this.db.catch(() => (this.db = undefined))
    return this.db
  }

  /** What was made of this review from just this; undefined where it was made from something else, or not at all. */
  async get(reviewId: string, what: string, from: string): Promise<unknown> {
    try {
      const found = await (await this.open()).get('made', [reviewId, what])
      return found?.from === from ? found.value : undefined
    } catch (error) {
      console.error('What was made of the records before cannot be read; it is made again.', error)
      return undefined
    }
  }

  /** Keeps what was made. Where the browser has no room for it, it is made again the next time. */
  async keep(reviewId: string, what: string, from: string, value: unknown): Promise<void> {
    try {
      const db = await this.open()
      await db.put('made', { reviewId, what, from, value })
      await this.letGo(db, reviewId)
    } catch (error) {
      console.error('What was made of the records cannot be kept; it is made again the next time.', error)
    }
  }

  /** Removes all that was made of a review. */
  async forget(reviewId: string): Promise<void> {
    await (await this.open()).delete('made', ofReview(reviewId))
  }

  private async letGo(db: IDBPDatabase<Schema>, current: string): Promise<void> {
    const reviews = new Set((await db.getAllKeys('made')).map(([id]) => id))
    reviews.delete(current)
    for (const id of [...reviews].slice(REVIEWS - 1)) await db.delete('made', ofReview(id))
  }
}

const ofReview = (id: string): IDBKeyRange => IDBKeyRange.bound([id, ''], [id, '\uffff'])
