import { workOf, type Review, type Works } from '../review'

/** Which works are notices (a retraction, a correction) on which, by the ids of works. */
export interface Notices {
  /** The work that a notice is on. */
  of: ReadonlyMap<string, string>
  /** The notices on a work, in the order in which they were said to be some. */
  on: ReadonlyMap<string, readonly string[]>
}

/** What was said of notices, as works stand now; a notice that is one work with what it is on says nothing. */
export function noticesIn(works: Works, related: Review['related']): Notices {
  const of = new Map<string, string>()
  const on = new Map<string, string[]>()
  for (const { a, b, how } of related ?? []) {
    if (how !== 'notice of') continue
    const [notice, work] = [a, b].map((id) => workOf(works.works, works.oldNames.get(id) ?? id)?.id)
    if (!notice || !work || notice === work) continue
    of.set(notice, work)
    on.set(work, [...(on.get(work) ?? []), notice])
  }
  return { of, on }
}
