import { foldLabel } from '../base'
import type { Rec } from '../records'

/** A heading as records of a source write it, and how many of them have it. */
export interface HeldHeading {
  label: string
  records: number
}

/** Counts the headings of records of one source, work by work; each is called what the first record calls it. */
export class HeadingsHeld {
  private readonly found = new Map<string, HeldHeading>()

  constructor(private readonly sourceId: string) {}

  add(read: readonly { sourceId: string; record: Pick<Rec, 'headings'> }[]): void {
    for (const { sourceId, record } of read) {
      if (sourceId !== this.sourceId) continue
      const labels = new Map(record.headings.map((h) => [foldLabel(h.label), h.label]))
      for (const [key, label] of labels) {
        const known = this.found.get(key) ?? { label, records: 0 }
        known.records++
        this.found.set(key, known)
      }
    }
  }

  /** Those that most records have, most first; of as many, in the order of the alphabet. */
  most(count: number): HeldHeading[] {
    return [...this.found.values()]
      .sort((a, b) => b.records - a.records || (a.label < b.label ? -1 : 1))
      .slice(0, count)
  }
}
