import type { Chosen, Indexed, Searched, SearchedOn, Time, Together, WayGone, WaysAtOnce } from '../reads/en'
import { counts, searchesOf, sourcesOf, type SlowSearch } from './as-searched'
import type { Deeds } from './deeds'
import { sameNames, sameReason, thingsOf } from './plan'

const names = (list: readonly object[]): string[] => list.map((s) => (s as { name: string }).name)
const databases = (deeds: Deeds) => sourcesOf(deeds).filter((s) => s.kind === 'database')
const unsearched = (deeds: Deeds) => {
  const done = new Set(searchesOf(deeds).map((s) => s.id))
  return databases(deeds).filter((s) => !done.has(s.id as string))
}
const areNames = (told: string | undefined, list: readonly string[]): boolean =>
  told === undefined || sameNames(told, list)

export function searched({ count, names: told }: Searched, deeds: Deeds): boolean {
  const all = searchesOf(deeds)
  return all.length === count && areNames(told, names(all))
}

export const toSearch = ({ count, names: told }: Searched, deeds: Deeds): boolean =>
  !searchesOf(deeds).length && databases(deeds).length === count && areNames(told, names(databases(deeds)))

export const toSearchBesides = ({ names: told }: { names: string }, deeds: Deeds): boolean =>
  searchesOf(deeds).length > 0 && sameNames(told, names(unsearched(deeds)))

/** Of those that were searched, else of those that are planned, just these are known to index with a thesaurus. */
export function indexed({ names: told }: Indexed, deeds: Deeds): boolean {
  const done = searchesOf(deeds)
  const all: { id: string; name: string }[] = done.length
    ? done
    : databases(deeds).map((s) => ({ id: s.id as string, name: s.name as string }))
  const own = all.filter((s) => deeds.world.indexed.includes(s.id))
  if (told === 'the one') return all.length === 1 && own.length === 1
  if (told === 'all') return all.length > 1 && own.length === all.length
  return (
    own.length < all.length &&
    sameNames(told.listed, names(own)) &&
    (told.count === undefined || told.count === own.length)
  )
}

/** Each of these was taken for the reason that is told, and every other database for another. */
export const chosen = ({ chosen: all }: Chosen, deeds: Deeds): boolean =>
  all.every(({ names: told, reason }) => {
    const own = databases(deeds).filter((s) =>
      reason === undefined ? told === s.name : sameReason(reason, s.why),
    )
    return told === undefined
      ? databases(deeds).length === 1 && own.length === 1
      : sameNames(told, names(own))
  })

export const together = ({ name, others }: Together, deeds: Deeds): boolean =>
  databases(deeds).some((s) => {
    const through = (s.platform as string | undefined)?.trim()
    const said = `${(s.together as string | undefined)?.trim() ?? ''}${through ? `, through ${through}` : ''}`
    return s.name === name && said === others && searchesOf(deeds).some((x) => x.id === s.id)
  })

const PAUSE = 14 * 86_400_000
/** The times at which a source was searched: days of its queries, or of what was done without one where that is all. */
export function times({ runs }: SlowSearch): Time[] {
  const asked = runs.filter((r) => r.text.trim())
  const days = [...new Set((asked.length ? asked : runs).map((r) => r.at.slice(0, 10)))].sort()
  return days.reduce<Time[]>((all, day) => {
    const last = all.at(-1)
    return last && Date.parse(day) - Date.parse(last.last) <= PAUSE
      ? [...all.slice(0, -1), { first: last.first, last: day }]
      : [...all, { first: day, last: day }]
  }, [])
}
const within = (list: readonly Time[]): Time => ({
  first: list.map((t) => t.first).sort()[0]!,
  last: list
    .map((t) => t.last)
    .sort()
    .at(-1)!,
})
const same = (a: Time, b: Time): boolean => a.first === b.first && a.last === b.last

/** What was asked last at a time of searching: of the runs with the highest number, the last one’s text and what it reached. */
function askedLast(s: SlowSearch, time: Time): string {
  const own = s.runs.filter((r) => r.at.slice(0, 10) >= time.first && r.at.slice(0, 10) <= time.last)
  const most = Math.max(...own.map((r) => r.number))
  return (own.findLast((r) => r.number === most) as { key?: string } | undefined)?.key ?? ''
}
const revised = (s: SlowSearch): boolean => {
  const [before, now] = times(s).slice(-2)
  return before !== undefined && now !== undefined && askedLast(s, before) !== askedLast(s, now)
}
/** The counts that are given are those of the last time. */
const countedLast = (s: SlowSearch): boolean =>
  counts(s) && s.ran.get(s.lines[s.last]!.id)!.at.slice(0, 10) >= times(s).at(-1)!.first

/** All of these were searched at just these times; in order of time, at the first of them. */
export function searchedOn(read: SearchedOn, deeds: Deeds): boolean {
  const all = searchesOf(deeds)
  const own = read.names === undefined ? all : all.filter((s) => listedIn(read.names!, s.name))
  const byTime = deeds.of('account.telling').at(-1)?.order === 'time'
  return (
    own.length > 0 &&
    areNames(read.names, names(own)) &&
    (byTime ? read.times.length === 1 : own.every((s) => times(s).length === read.times.length)) &&
    read.times.every((t, n) => same(t, within(own.map((s) => times(s)[n]!)))) &&
    (!read.revised || own.every(revised)) &&
    countsSo(read, own, all)
  )
}

const countsSo = (
  { counts: told }: SearchedOn,
  own: readonly SlowSearch[],
  all: readonly SlowSearch[],
): boolean => told === undefined || (told === 'all' ? all : own).every(countedLast)

/** One of the names in a list. */
const listedIn = (list: string, name: string): boolean => list.split(/, | and /).includes(name)

/** These were searched once more at this time, the second or a later one, and nothing else was. */
export function searchedAgain(read: SearchedOn, deeds: Deeds): boolean {
  const all = searchesOf(deeds)
  const most = Math.max(0, ...all.map((s) => times(s).length))
  return Array.from({ length: most }, (_, n) => n)
    .slice(1)
    .some((n) => {
      const own = all.filter((s) => times(s).length > n)
      return (
        (read.names === undefined ? own.length === all.length : sameNames(read.names, names(own))) &&
        same(read.times[0]!, within(own.map((s) => times(s)[n]!))) &&
        (!read.revised || own.every(revised)) &&
        countsSo(read, own, all)
      )
    })
}

const DID: Readonly<Record<string, string>> = {
  'reference lists': 'read',
  'citing papers': 'followed',
  people: 'asked',
  web: 'searched',
  catalogue: 'searched',
  'own collection': 'went through',
  'hand search': 'went through',
  register: 'searched',
}

/** Something was done on it: records came of it, or it was noted what was done. */
function gone(deeds: Deeds, id: unknown): boolean {
  const noted = [
    ...thingsOf(deeds, 'way.log', 'way.remove'),
    ...deeds.of('step.follow'),
    ...thingsOf(deeds, 'contact.set', 'contact.remove').filter((c) => c.asked),
    ...thingsOf(deeds, 'page.set', 'page.remove').filter((p) => p.seen),
  ]
  return deeds.brought().some((i) => i.sourceId === id) || noted.some((n) => n.sourceId === id)
}
const others = (deeds: Deeds) => sourcesOf(deeds).filter((s) => s.kind !== 'database')

const isWay =
  ({ name, did, reason }: WayGone) =>
  (s: ReturnType<typeof others>[number]): boolean =>
    s.name === name &&
    (did === 'sought' ? s.kind !== 'people' : DID[s.kind as string] === did) &&
    (reason === undefined || sameReason(reason, s.why))

export const wayGone = (read: WayGone, deeds: Deeds): boolean =>
  others(deeds).some((s) => isWay(read)(s) && gone(deeds, s.id))

export function waysAtOnce(read: WaysAtOnce, deeds: Deeds): boolean {
  const all = others(deeds).filter((s) => gone(deeds, s.id))
  return (
    all.length > 1 &&
    ('listed' in read
      ? sameNames(read.listed, names(all))
      : read.ways.length === all.length && all.every((s) => read.ways.some((w) => isWay(w)(s))))
  )
}

export const wayPlanned = ({ name, reason }: { name: string; reason?: string }, deeds: Deeds): boolean =>
  others(deeds).some(
    (s) => s.name === name && !gone(deeds, s.id) && (reason === undefined || sameReason(reason, s.why)),
  )

/** So many pages of some way were seen; of every one of them just this was noted. */
export const pagesNoted = ({ count, of }: { count: number; of: string[] }, deeds: Deeds): boolean =>
  others(deeds).some((s) => {
    const pages = thingsOf(deeds, 'page.set', 'page.remove').filter((p) => p.sourceId === s.id && p.seen)
    return (
      pages.length === count &&
      ['publisher', 'dated', 'evidence', 'purpose'].every(
        (what) => of.includes(what) === pages.every((p) => String(p[what]).trim() !== ''),
      )
    )
  })
