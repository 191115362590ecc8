import type { Rec } from './record'

/** Which way references are followed: to what works cite, or to what cites them. */
export type Direction = 'cited' | 'citing'

/** The records of a source that some of its records cite, or that cite one of them; none of these themselves. */
export function followed(records: readonly Rec[], numbers: readonly string[], direction: Direction): Rec[] {
  const from = new Set(numbers)
  const cites = (r: Rec): string[] => (r.references ?? []).flatMap((f) => f.id ?? [])
  if (direction === 'citing')
    return records.filter((r) => !from.has(r.id) && cites(r).some((id) => from.has(id)))
  const wanted = new Set(records.filter((r) => from.has(r.id)).flatMap(cites))
  return records.filter((r) => wanted.has(r.id) && !from.has(r.id))
}
