import type { Look, PointsRead, SearchReviewedRead } from '../reads/en'
import { standingRuns } from './as-searched'
import type { Deeds } from './deeds'
import { searchers } from './plan'

interface Finished {
  reader: string
  as: string
  at: string
  of?: { sourceId: string }[]
  verdict?: string
}

/** Looks that another person finished, by who it was. */
export const looksOf = (deeds: Deeds): Map<string, Finished[]> => {
  const own = searchers(deeds)
  const searched = new Set(standingRuns(deeds).map((r) => r.sourceId))
  const found = new Map<string, Finished[]>()
  for (const f of deeds.of('searchreview.finish') as unknown as Finished[])
    if (!own.has(f.reader)) found.set(f.reader, [...(found.get(f.reader) ?? []), f])
  // Whose last look was at nothing that was searched with looked at no search.
  return new Map(
    [...found].filter(([, looks]) => {
      const { of } = looks.at(-1)!
      return !of || of.some((o) => searched.has(o.sourceId))
    }),
  )
}
const nameOf = (deeds: Deeds, id: string): string =>
  (deeds.of('person.named').findLast((p) => p.id === id)?.name as string | undefined) ??
  'Somebody not named yet'

/** Where a look stands among the searches of the databases that were looked at. */
function whenIs(look: Finished, deeds: Deeds): Look['when'] {
  const mine = standingRuns(deeds).filter((r) => !look.of || look.of.some((o) => o.sourceId === r.sourceId))
  const at = Date.parse(look.at)
  if (!mine.length) return 'untold'
  if (mine.every((r) => Date.parse(r.at) >= at)) return 'before'
  return mine.every((r) => Date.parse(r.at) <= at) ? 'after' : 'between'
}

/** That person, of no part in the searches, looked at just these on these days, and said that of it. */
export function searchReviewed(read: SearchReviewedRead, deeds: Deeds): boolean {
  const runs = standingRuns(deeds)
  const databases = [...new Set(runs.map((r) => r.sourceId))]
  return [...looksOf(deeds)].some(([reader, looks]) => {
    const last = looks.at(-1)!
    const told = looks.length > 1 ? [looks[0]!, last] : [last]
    const looked = databases.filter((id) => last.of?.some((o) => o.sourceId === id)).length
    const partly = last.of !== undefined && looked < databases.length
    return (
      runs.length > 0 &&
      read.who.replace(/^\p{Ll}/u, (c) => c.toUpperCase()) === nameOf(deeds, reader) &&
      read.role === last.as.trim() &&
      read.looks.length === told.length &&
      told.every((look, n) => {
        const { day, when } = read.looks[n]!
        return day === look.at.slice(0, 10) && when === whenIs(look, deeds)
      }) &&
      (partly
        ? read.of?.looked === looked && read.of.searched === databases.length
        : read.of === undefined) &&
      read.verdict === last.verdict &&
      (!read.left || looks.length > 1)
    )
  })
}

/** What a reviewer asked for: of each element its last answer, where something was to be changed, and each comment. */
export function pointsRaised(read: PointsRead, deeds: Deeds): boolean {
  return [...looksOf(deeds).keys()].some((reader) => {
    const mine = deeds.live.filter((e) => (e.payload as { reader?: string }).reader === reader)
    const answers = new Map<string, string>()
    const comments: string[] = []
    const word = new Map<string, string>()
    for (const e of mine) {
      const p = e.payload as { id: string; element: string; verdict: string; said: string; as: string }
      if (e.kind === 'searchreview.answer')
        if (p.verdict === 'none') answers.delete(p.element)
        else answers.set(p.element, `${p.element} of ${e.at}`)
      if (e.kind === 'searchreview.comment') comments.push(`${p.id} of ${e.at}`)
      if (e.kind === 'searchreview.settle') word.set(`${p.id} of ${p.said}`, p.as)
    }
    const points = [...answers.values(), ...comments]
    const as = (what: string): number => points.filter((p) => word.get(p) === what).length
    return (
      points.length > 0 &&
      read.points === points.length &&
      read.taken === as('taken') &&
      read.declined === as('declined') &&
      read.waiting === points.length - as('taken') - as('declined')
    )
  })
}
