import type { Import, Review } from './values'

/** Does an import stand: neither taken out nor superseded by another? One that was taken out still supersedes. */
export const isStanding = ({ imports }: Pick<Review, 'imports'>, i: Import): boolean =>
  i.takenOut !== true && !imports.some((other) => other.supersedes?.ids.includes(i.id))

/** The imports that count, in the order of their records. */
export function standingImports({ imports }: Pick<Review, 'imports'>): Import[] {
  const superseded = new Set(imports.flatMap((i) => i.supersedes?.ids ?? []))
  return imports.filter((i) => i.takenOut !== true && !superseded.has(i.id))
}
