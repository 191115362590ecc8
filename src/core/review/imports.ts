import { recordId, type Import, type Review } from './values'

/** Does an import stand: neither taken out nor superseded by another? One that was taken out still supersedes. */
export const isStanding = ({ imports }: Pick<Review, 'imports'>, i: Import): boolean =>
  i.takenOut !== true && !imports.some((other) => other.supersedes?.ids.includes(i.id))

/** The imports that count, in the order of their records. */
export function standingImports({ imports }: Pick<Review, 'imports'>): Import[] {
  const superseded = new Set(imports.flatMap((i) => i.supersedes?.ids ?? []))
  return imports.filter((i) => i.takenOut !== true && !superseded.has(i.id))
}

/** The names of the records of an import, in their order: broken records of its file have a position, but no name. */
export const recordNames = (of: Pick<Import, 'id' | 'count' | 'broken'>): string[] => [...namesIn(of)]

/** The same one by one. */
export function* namesIn({
  id,
  count,
  broken = [],
}: Pick<Import, 'id' | 'count' | 'broken'>): Generator<string, undefined> {
  const gaps = new Set(broken.map((b) => b.position))
  for (let position = 1, n = 0; n < count; position++) {
    if (gaps.has(position)) continue
    n++
    yield recordId(id, position)
  }
}

/** The place of a record among those of its import, by its name, from 0. */
export function recordPlace({ broken = [] }: Pick<Import, 'broken'>, name: string): number {
  const position = Number(name.slice(name.lastIndexOf('/') + 1))
  return position - 1 - broken.filter((b) => b.position < position).length
}
