import { heldNames, keptFor } from '../../base'
import type { Rec } from '../../records'
import { recordNames, standingImports } from '../imports'
import { importOf, type Import, type Review } from '../values'

/** A record of the review under its name. */
export interface NamedRecord {
  id: string
  sourceId: string
  record: Rec
}

/** The records of an import, in the order of the file; undefined where this browser does not have them. */
export type RecordsOf = (of: Import) => readonly Rec[] | undefined

const named = (imports: readonly Import[], recordsOf: RecordsOf): NamedRecord[] =>
  imports.flatMap((i) => {
    const records = recordsOf(i)
    if (!records) return []
    const names = recordNames({ ...i, count: records.length })
    return records.map((record, n) => ({ id: names[n]!, sourceId: i.sourceId, record }))
  })

/** Imports that no longer stand, but of whose records something was said that may still hold of other records. */
function spokenOf({
  imports,
  decisions,
  rulings,
}: Pick<Review, 'imports' | 'decisions' | 'rulings'>): Import[] {
  const standing = new Set(standingImports({ imports }))
  if (standing.size === imports.length) return []
  const spoken = new Set([...heldNames(rulings), ...decisions.flatMap((d) => [d.a, d.b])].map(importOf))
  return imports.filter((i) => !standing.has(i) && spoken.has(i.id))
}

/** The imports whose records have to be read for the works of a review. */
export const importsToRead = (review: Pick<Review, 'imports' | 'decisions' | 'rulings'>): Import[] => [
  ...standingImports(review),
  ...spokenOf(review),
]

/**
 * All records of the imports that stand, in their order, and those of others of which something was said. Records whose
 * block is not here are left out.
 */
export const namedRecords = (
  review: Pick<Review, 'imports' | 'decisions' | 'rulings'>,
  recordsOf: RecordsOf,
): { standing: NamedRecord[]; others: NamedRecord[] } => ({
  standing: named(standingImports(review), recordsOf),
  others: named(spokenOf(review), recordsOf),
})

/** The first form's names of works under which something was said. */
export const oldNamesIn = keptFor((rulings: Review['rulings']): string[] =>
  heldNames(rulings).filter((name) => name.startsWith('was:')),
)

/**
 * What the works of a review are made from: as long as each of these is the same, so are they. Of rulings only the names
 * count under which they stand.
 */
export const worksMadeFrom = (
  review: Pick<Review, 'imports' | 'decisions' | 'rulings' | 'partition' | 'choices' | 'knownItems'>,
): readonly unknown[] => [
  review.imports,
  review.decisions,
  review.partition,
  review.choices,
  review.knownItems,
  spokenOf(review)
    .map((i) => i.id)
    .join(' '),
  oldNamesIn(review.rulings).join('\n'),
]
