import { held, keptFor } from '../base'
import {
  questionsOf,
  wordingOf,
  type CriteriaVersion,
  type PassName,
  type Review,
  type Ruled,
  type Ruling,
} from '../review'

/** The questions of a pass under which works are ruled now, with their words; undefined where nobody has named any. */
export type AskedBy = { id?: string; wording: Readonly<Record<string, string>> }

/** The questions of a pass as a version of the criteria has them, or as they stand. */
export const askedBy = (
  of: Pick<CriteriaVersion, 'criteria'> & { id?: string },
  pass: PassName,
): AskedBy => ({
  ...(of.id === undefined ? {} : { id: of.id }),
  wording: Object.fromEntries(questionsOf(of, pass).map((c) => [c.id, wordingOf(c)])),
})

/**
 * Is a ruling to be made again because a question that it hung on reads otherwise in these? A work that stays hung on every
 * question; one that went out hung on the question by which it did, or on none where it went for a reason in words. Where it
 * was not noted what was asked, or by which question it went, that cannot be told, and it is asked again.
 */
export function asksAgain(ruling: Ruling, by: AskedBy | undefined): boolean {
  if (!by || ruling.unread || (by.id !== undefined && ruling.version === by.id)) return false
  const { asked } = ruling
  if (!asked) return Object.keys(by.wording).length > 0
  const changed = (id: string): boolean => asked[id] !== by.wording[id]
  if (ruling.verdict === 'out' && ruling.criterionId !== undefined) return changed(ruling.criterionId)
  if (ruling.verdict === 'out' && ruling.reason?.trim()) return false
  return differ(asked, by.wording)
}

/** Do two sets of questions differ? It is asked of each ruling after each key, so nothing is made for it. */
export function differ(a: AskedBy['wording'], b: AskedBy['wording']): boolean {
  for (const id in a) if (a[id] !== b[id]) return true
  for (const id in b) if (!(id in a)) return true
  return false
}

/** How many rulings of each reader, by id. */
export type Touched = { reader: string; rulings: number }[]

/**
 * How many rulings of each reader would be asked again if the criteria as they stand were named now: those that hung on a
 * question which reads otherwise since the last version was named, or since they were made where none was. It is told after
 * each key; of what was ruled since only the part that changed is counted again.
 */
export function touchedByChange(
  { criteria, criteriaVersions }: Pick<Review, 'criteria' | 'criteriaVersions'>,
  pass: PassName,
): (ruled: Pick<Ruled, 'byWork'>) => Touched {
  const now = askedBy({ criteria }, pass)
  const version = criteriaVersions?.at(-1)
  const named = version && askedBy(version, pass)
  const counted = keptFor((bucket: Ruled['byWork'][string]) => {
    const counts = new Map<string, number>()
    for (const own of Object.values(bucket))
      for (const r of Object.values(own))
        // What is asked again already is no news.
        if (r.pass === pass && r.asked && asksAgain(r, now) && !asksAgain(r, named))
          counts.set(r.reader, (counts.get(r.reader) ?? 0) + 1)
    return counts
  })
  return ({ byWork }) => {
    const all = new Map<string, number>()
    for (const bucket of Object.values(byWork))
      for (const [reader, n] of counted(bucket)) all.set(reader, (all.get(reader) ?? 0) + n)
    return [...all]
      .map(([reader, rulings]) => ({ reader, rulings }))
      .sort((a, b) => (a.reader < b.reader ? -1 : 1))
  }
}

/** The works that each reader is to rule again under the version that was named last, in their order. Readers by id. */
export function toAskAgain(
  review: Pick<Review, 'criteriaVersions'>,
  { byWork, works }: Pick<Ruled, 'byWork' | 'works'>,
  pass: PassName,
): { reader: string; works: string[] }[] {
  const version = review.criteriaVersions?.at(-1)
  const by = version && askedBy(version, pass)
  const found = new Map<string, string[]>()
  if (by)
    for (const { id } of works.works)
      for (const r of Object.values(held(byWork, id) ?? {}))
        if (r.pass === pass && asksAgain(r, by)) found.set(r.reader, [...(found.get(r.reader) ?? []), id])
  return [...found]
    .map(([reader, asked]) => ({ reader, works: asked }))
    .sort((x, y) => (x.reader < y.reader ? -1 : 1))
}
