import { digestOf } from '../core/base'
import { fold, nextEntry, type Command, type Entry, type Review, type SideTaken } from '../core/review'
import { Random } from './corpus/random'

/** Who made the demo: an id, and what she is called. */
export const READER = 'demo-person-1'
export const READER_NAME = 'M. Osei'

/** Gives commands their time: some minutes apart, on working days from 13 April 2026. */
export class Diary {
  readonly entries: Entry[] = []
  private time = Date.UTC(2026, 3, 13, 8, 12)
  private readonly random = new Random('demo diary')
  private ids = 0
  private folded: { length: number; review: Review } | undefined
  /** Side journals that were taken in, by digest. */
  readonly sides = new Map<string, SideTaken>()

  id(kind: string): string {
    return `demo-${kind}-${++this.ids}`
  }

  do<K extends Command['kind']>(
    kind: K,
    payload: Extract<Command, { kind: K }>['payload'],
    seconds = 0,
  ): void {
    this.time += (seconds || this.random.int(20, 240)) * 1000
    this.entries.push(
      nextEntry(this.entries[this.entries.length - 1], { kind, payload } as Command, {
        at: this.now(),
        by: READER,
        // Nothing of the demo has to be hidden: its salts may be guessed, and are the same every time.
        salt: digestOf(`demo salt ${this.entries.length}`).slice(0, 32),
      }),
    )
  }

  now(): string {
    return new Date(this.time).toISOString()
  }

  nextMorning(): void {
    const day = new Date(this.time)
    // Nobody searches at weekends: from Friday to Monday.
    if (day.getUTCDay() === 5) day.setUTCDate(day.getUTCDate() + 2)
    this.time = Date.UTC(
      day.getUTCFullYear(),
      day.getUTCMonth(),
      day.getUTCDate() + 1,
      8,
      5 + this.random.int(0, 40),
    )
  }

  /** Nothing was done until this morning. */
  resume(year: number, month: number, day: number): void {
    this.time = Date.UTC(year, month - 1, day, 8, 5)
  }

  /** What all entries make. The same object until the next entry. */
  review(): Review {
    const { length } = this.entries
    if (this.folded?.length !== length)
      this.folded = {
        length,
        review: fold(this.entries, { side: (digest) => this.sides.get(digest) }).review,
      }
    return this.folded.review
  }
}
