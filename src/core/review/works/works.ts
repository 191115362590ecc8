import { bestRecord, decideByHand, recordFinder, type Rec, type ToSettle } from '../../records'
import { recordNames } from '../imports'
import type { Review } from '../values'
import { knownAmong } from './known-among'
import { partition0 } from './partition-0'
import { namedRecords, oldNamesIn, type NamedRecord, type RecordsOf } from './records-of'

/** One article behind one or more records, without what its records say: so much of it is needed for counting. */
export interface Work {
  /** That of its first record. */
  id: string
  /** All its records, in their order. */
  records: readonly string[]
  /** Its records of imports that no longer stand: what was said of them is said of the work. */
  former: readonly string[]
  /** The sources that found it, each once, in the order of its records. */
  sources: readonly string[]
}

/** The same with what its records say. */
export interface WorkRead extends Work {
  /** What is shown of it: the best value of every field, or under the first form's rules its first record. */
  record: Rec
  /** Source and number of every record that stands for this work. */
  from: { sourceId: string; recordId: string }[]
  /** Its records, each with the source that it came of. */
  read: readonly NamedRecord[]
}

export interface Works<W extends Work = Work> {
  works: readonly W[]
  /** The work that each known item is, by the item's id. Items that are none of them are left out. */
  known: ReadonlyMap<string, string>
  /** Pairs that rules and people see differently. */
  toSettle: readonly ToSettle[]
  /** The records that the first form's names of works mean now, by name (`was:…`). */
  oldNames: ReadonlyMap<string, string>
}

/**
 * What lies under the digests of a stored partition: its classes, a number for each record of its imports in their order,
 * and its pairs to settle, the places of their records one after the other.
 */
export type ClassesAt = (digest: string) => readonly number[] | undefined

/**
 * The works behind all records of the imports that stand, in the order in which they came: the classes of the partition
 * in force, with what people decided over it.
 */
export function worksOf(
  review: Pick<Review, 'imports' | 'decisions' | 'rulings' | 'partition' | 'choices' | 'knownItems'>,
  recordsOf: RecordsOf,
  classesAt: ClassesAt = () => undefined,
): Works<WorkRead> {
  const { standing, others } = namedRecords(review, recordsOf)
  const records = [...standing, ...others]
  const byId = new Map(standing.map((r) => [r.id, r]))
  const stored = review.partition && classesAt(review.partition.digest)
  const places = stored && placesOf(review)
  const classes = places ? classesFrom(stored, places, records) : partition0(standing, others)
  const { classes: decided, toSettle } = decideByHand(
    classes,
    review.decisions,
    records.map((r) => r.id),
  )
  const open = review.partition?.toSettle === undefined ? undefined : classesAt(review.partition.toSettle)
  const pairs = places && open ? pairsFrom(open, places) : []
  const works = decided.flatMap((ids) => {
    const own = ids.flatMap((id) => byId.get(id) ?? [])
    if (!own.length) return []
    const former = others.length ? ids.filter((id) => !byId.has(id)) : []
    return [workOf(own, former, stored ? (review.choices ?? []) : undefined)]
  })
  return {
    works,
    known: review.knownItems.length
      ? knownAmong(works, recordFinder(works.map((w) => w.record)), review.knownItems)
      : new Map(),
    toSettle: leftToSettle(
      [...toSettle, ...pairs].filter(({ a, b }) => byId.has(a) && byId.has(b)),
      decided,
      review.decisions,
    ),
    oldNames: oldNamesOf(review.rulings, standing),
  }
}

/** Of pairs, those between two works of which nobody has said yet whether they are one: the first for each two works. */
function leftToSettle(
  pairs: readonly ToSettle[],
  classes: readonly (readonly string[])[],
  decisions: Review['decisions'],
): ToSettle[] {
  if (!pairs.length) return []
  const classOf = new Map(classes.flatMap((ids, n) => ids.map((id) => [id, n] as const)))
  const key = ({ a, b }: ToSettle): string =>
    [classOf.get(a) ?? -1, classOf.get(b) ?? -1].sort((x, y) => x - y).join(' ')
  const seen = new Set(decisions.filter((d) => !d.same).map(key))
  const left: ToSettle[] = []
  for (const pair of pairs) {
    const own = key(pair)
    if (classOf.get(pair.a) === classOf.get(pair.b) || seen.has(own)) continue
    seen.add(own)
    left.push(pair)
  }
  return left
}

function workOf(of: readonly NamedRecord[], former: string[], choices: Review['choices']): WorkRead {
  const from: WorkRead['from'] = []
  for (const { sourceId, record } of of)
    if (!from.some((f) => f.sourceId === sourceId && f.recordId === record.id))
      from.push({ sourceId, recordId: record.id })
  const ids = of.map((r) => r.id)
  return {
    id: ids[0]!,
    record: shownOf(of, choices),
    records: ids,
    former,
    sources: [...new Set(of.map((r) => r.sourceId))],
    from,
    read: of,
  }
}

/**
 * What is shown of a work with these records: the best value of every field, or those that people chose; without
 * `choices`, under the first form's rules, its first record.
 */
export const shownOf = (of: readonly NamedRecord[], choices: Review['choices'] | undefined): Rec =>
  choices && of.length > 1
    ? bestRecord(
        of,
        chosenFor(
          of.map((r) => r.id),
          choices,
        ),
      )
    : of[0]!.record

/** By field, the record of these whose value a person chose last. */
export const chosenFor = (ids: readonly string[], choices: Review['choices'] = []): Record<string, string> =>
  Object.fromEntries(choices.filter((c) => ids.includes(c.recordId)).map((c) => [c.field, c.recordId]))

/** The names of all records of a partition's imports, in their order. */
function placesOf({ imports, partition }: Pick<Review, 'imports' | 'partition'>): string[] {
  return partition!.imports.flatMap((importId) => {
    const of = imports.find((i) => i.id === importId)
    return of ? recordNames(of) : []
  })
}

function pairsFrom(places: readonly number[], names: readonly string[]): ToSettle[] {
  const pairs: ToSettle[] = []
  for (let n = 0; n + 1 < places.length; n += 2) {
    const [a, b] = [names[places[n]!], names[places[n + 1]!]]
    if (a !== undefined && b !== undefined) pairs.push(a < b ? { a, b } : { a: b, b: a })
  }
  return pairs
}

/** A stored partition, over the records that still stand; one that it does not know stands alone. */
function classesFrom(
  stored: readonly number[],
  places: readonly string[],
  records: readonly NamedRecord[],
): string[][] {
  const classOf = new Map(places.map((id, n) => [id, stored[n] ?? -1 - n] as const))
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
function oldNamesOf(
  rulings: Review['rulings'],
  records: readonly NamedRecord[],
): ReadonlyMap<string, string> {
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
