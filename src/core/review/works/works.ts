import { decideByHand, type Rec, type ToSettle } from '../../records'
import type { Review } from '../values'
import { partition0 } from './partition-0'
import { namedRecords, oldNamesIn, type Named, type RecordsOf } from './records-of'

/** One article behind one or more records. */
export interface Work {
  /** That of its first record. */
  id: string
  /** The record that is shown. */
  record: Rec
  /** All its records, in their order. */
  records: string[]
  /** Its records of imports that no longer stand: what was said of them is said of the work. */
  former: string[]
  /** Source and number of every record that stands for this work. */
  from: { sourceId: string; recordId: string }[]
}

export interface Works {
  works: Work[]
  /** Pairs that rules and people see differently. */
  toSettle: ToSettle[]
  /** The records that the first form's names of works mean now, by name (`was:…`). */
  oldNames: ReadonlyMap<string, string>
}

/** The classes that a stored partition gave, as a number for each record of its imports in their order. */
export type ClassesAt = (digest: string) => readonly number[] | undefined

/**
 * The works behind all records of the imports that stand, in the order in which they came: the classes of the partition
 * in force, with what people decided over it.
 */
export function worksOf(
  review: Pick<Review, 'imports' | 'decisions' | 'rulings' | 'partition'>,
  recordsOf: RecordsOf,
  classesAt: ClassesAt = () => undefined,
): Works {
  const { standing, others } = namedRecords(review, recordsOf)
  const records = [...standing, ...others]
  const byId = new Map(standing.map((r) => [r.id, r]))
  const stored = review.partition && classesAt(review.partition.digest)
  const classes = stored ? classesFrom(stored, review, records) : partition0(standing, others)
  const { classes: decided, toSettle } = decideByHand(
    classes,
    review.decisions,
    records.map((r) => r.id),
  )
  return {
    works: decided.flatMap((ids) => {
      const own = ids.flatMap((id) => byId.get(id) ?? [])
      return own.length ? [workOf(own, others.length ? ids.filter((id) => !byId.has(id)) : [])] : []
    }),
    toSettle: toSettle.filter(({ a, b }) => byId.has(a) && byId.has(b)),
    oldNames: oldNamesOf(review.rulings, standing),
  }
}

function workOf(of: readonly Named[], former: string[]): Work {
  const from: Work['from'] = []
  for (const { sourceId, record } of of)
    if (!from.some((f) => f.sourceId === sourceId && f.recordId === record.id))
      from.push({ sourceId, recordId: record.id })
  return { id: of[0]!.id, record: of[0]!.record, records: of.map((r) => r.id), former, from }
}

/** A stored partition, over the records that still stand; one that it does not know stands alone. */
function classesFrom(
  stored: readonly number[],
  { imports, partition }: Pick<Review, 'imports' | 'partition'>,
  records: readonly Named[],
): string[][] {
  const classOf = new Map<string, number>()
  let at = 0
  for (const importId of partition!.imports) {
    const count = imports.find((i) => i.id === importId)?.count ?? 0
    for (let n = 1; n <= count; n++) classOf.set(`${importId}/${n}`, stored[at++] ?? -1 - at)
  }
  const classes = new Map<number | string, string[]>()
  for (const { id } of records) {
    const of = classOf.get(id) ?? id
    const known = classes.get(of)
    if (known) known.push(id)
    else classes.set(of, [id])
  }
  return [...classes.values()]
}

/**
 * What the first form called works: "doi:" and a DOI, or a source and a number in it. Each means the earliest record of
 * which it is true. One that means none is left out: what was said under it is kept and told.
 */
function oldNamesOf(rulings: Review['rulings'], records: readonly Named[]): ReadonlyMap<string, string> {
  const wanted = new Set(oldNamesIn(rulings))
  const found = new Map<string, string>()
  if (!wanted.size) return found
  for (const { id, sourceId, record } of records)
    for (const name of [
      ...(record.doi ? [`was:doi:${record.doi.toLowerCase()}`] : []),
      `was:${sourceId}:${record.id}`,
    ])
      if (wanted.has(name) && !found.has(name)) found.set(name, id)
  return found
}
