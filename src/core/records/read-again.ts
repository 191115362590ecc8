import { FIELDS, textOf } from './fields'
import type { Rec } from './record'

/** What another reader makes otherwise of one record of a file. */
export interface ReadOtherwise {
  /** In the file, from 1. */
  position: number
  title: string
  changes: { label: string; before: string; after: string }[]
}
/** What another reader makes of a whole file, against what is in the review of it. */
export interface ReadAgain {
  changed: ReadOtherwise[]
  /** Positions that could be read before and cannot now, and the other way round. */
  gone: number[]
  came: number[]
}

/** Holds two readings of a file against each other, record by record, by their positions. */
export function readAgain(before: ReadonlyMap<number, Rec>, after: ReadonlyMap<number, Rec>): ReadAgain {
  const changed: ReadOtherwise[] = []
  for (const [position, record] of before) {
    const now = after.get(position)
    if (!now) continue
    const changes = FIELDS.flatMap((field) => {
      const [was, is] = [textOf(record, field) ?? '', textOf(now, field) ?? '']
      return was === is ? [] : [{ label: field.label, before: was, after: is }]
    })
    if (changes.length) changed.push({ position, title: now.title || record.title, changes })
  }
  return {
    changed,
    gone: [...before.keys()].filter((position) => !after.has(position)),
    came: [...after.keys()].filter((position) => !before.has(position)),
  }
}

/** "authors of 12, type of 7": in how many records each field is another, the most first. */
export function changedFields({ changed }: Pick<ReadAgain, 'changed'>): { label: string; records: number }[] {
  const counts = new Map<string, number>()
  for (const { changes } of changed)
    for (const { label } of changes) counts.set(label, (counts.get(label) ?? 0) + 1)
  return [...counts].map(([label, records]) => ({ label, records })).sort((a, b) => b.records - a.records)
}

/** The records with another type where they are named by their places; what was concluded is said now. */
export const withTypeSet = (records: readonly Rec[], places: ReadonlySet<number>, type: string): Rec[] =>
  records.map((record, place) => {
    if (!places.has(place)) return record
    const { inferred, ...rest } = record
    const others = (inferred ?? []).filter((part) => part !== 'type')
    return { ...rest, type, ...(others.length ? { inferred: others } : {}) }
  })
