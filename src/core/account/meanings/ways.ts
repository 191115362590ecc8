import type { Followed, Looked, NotGone, PeopleAsked, SearchAgain, SourceGone, Time } from '../reads/en'
import { sourcesOf } from './as-searched'
import type { Deeds } from './deeds'

type Payload = ReturnType<Deeds['of']>[number]

/** The last word on each thing of a kind, by its id. */
const last = (deeds: Deeds, kind: string): Payload[] => [
  ...new Map(deeds.of(kind).map((p) => [p.id as string, p])).values(),
]
/** The runs of a source that no other has taken the place of. */
const ranIn = (deeds: Deeds, sourceId: unknown): Payload[] => {
  const runs = deeds.of('run.log')
  const replaced = new Set(runs.map((r) => r.supersedes))
  return runs.filter((r) => r.sourceId === sourceId && !replaced.has(r.id))
}
const PAUSE = 14 * 86_400_000

/** Are the times that are told those of these days: every day in one, each begun and ended by one, with a pause between? */
function timesAre(times: readonly Time[], days: readonly string[]): boolean {
  const sorted = [...days].sort()
  return (
    sorted.length > 0 &&
    sorted.every((d) => times.some((t) => t.first <= d && d <= t.last)) &&
    times.every((t) => sorted.includes(t.first) && sorted.includes(t.last)) &&
    times.every((t, n) => n === 0 || Date.parse(t.first) - Date.parse(times[n - 1]!.last) > PAUSE)
  )
}
const said = (words: unknown): string => String((words as string | undefined) ?? '').trim()
const total = (list: readonly Payload[], what: string): number =>
  list.reduce((n, p) => n + ((p[what] as number | undefined) ?? 0), 0)
const noted = (list: readonly Payload[], what: string): Payload[] => list.filter((p) => p[what] !== undefined)

/** Some way of references is what is said: whose, when, through what, how many were named, and what was known. */
export function followed(read: Followed, deeds: Deeds): boolean {
  const kind = read.how === 'cited' ? 'reference lists' : 'citing papers'
  return sourcesOf(deeds).some((s) => {
    if (s.kind !== kind) return false
    const steps = [
      ...last(deeds, 'step.follow').map((p): Payload => ({ ...p, day: (p.at as string).slice(0, 10) })),
      ...last(deeds, 'way.log'),
    ].filter((p) => p.sourceId === s.id)
    const counted = noted(steps, 'named')
    const works = new Set(steps.flatMap((p) => (p.of as string[] | undefined) ?? []))
    const through = new Set(steps.map((p) => said(p.through)).filter(Boolean))
    const end = [...steps].sort((a, b) => (String(a.day) < String(b.day) ? -1 : 1)).at(-1)
    const nothing = end?.named !== undefined && end.named === end.known && !end.taken
    return (
      steps.length === read.steps &&
      (read.works ?? 0) === works.size &&
      timesAre(
        read.times,
        steps.map((p) => p.day as string),
      ) &&
      [...through].every((t) => read.through?.includes(t)) &&
      (read.through === undefined) === (through.size === 0) &&
      steps.length - counted.length === read.uncounted &&
      (counted.length ? read.named === total(counted, 'named') : read.named === undefined) &&
      (read.known === undefined
        ? noted(counted, 'known').length < counted.length || !counted.length
        : noted(counted, 'known').length === counted.length && read.known === total(counted, 'known')) &&
      read.lastGaveNothing === (steps.length > 1 && nothing)
    )
  })
}

/** Some way that was logged by hand is what is said. */
export function looked(read: Looked, deeds: Deeds): boolean {
  return sourcesOf(deeds).some((s) => {
    if (['database', 'reference lists', 'citing papers'].includes(s.kind as string)) return false
    if ((s.kind === 'people') !== (read.how === 'asked')) return false
    const times = last(deeds, 'way.log').filter((p) => p.sourceId === s.id)
    const what = s.kind === 'people' ? 'named' : 'lookedThrough'
    const counted = noted(times, what)
    const open = times.length - counted.length
    const stops = times.map((p) => said(p.stopped)).filter(Boolean)
    return (
      timesAre(
        read.times,
        times.map((p) => p.day as string),
      ) &&
      (counted.length ? read.count === total(counted, what) : read.count === undefined) &&
      (counted.length && open
        ? read.uncounted?.of === open && read.uncounted.times === times.length
        : read.uncounted === undefined) &&
      (noted(times, 'taken').length === times.length
        ? read.taken === total(times, 'taken')
        : read.taken === undefined) &&
      read.stopped === (stops.length === 1 ? stops[0] : undefined) &&
      read.stoppedOften === stops.length > 1
    )
  })
}

/** Of the people asked through some source, just those answered who are named. */
export function peopleAsked(read: PeopleAsked, deeds: Deeds): boolean {
  const gone = new Set(deeds.of('contact.remove').map((p) => p.id))
  return sourcesOf(deeds).some((s) => {
    const asked = last(deeds, 'contact.set').filter((p) => p.sourceId === s.id && p.asked && !gone.has(p.id))
    const answered = asked.filter((p) => p.answered && said(p.who)).map((p) => said(p.who))
    return (
      asked.length === (read.asked ?? answered.length) &&
      timesAre(
        read.times,
        asked.map((p) => p.asked as string),
      ) &&
      answered.length === read.answered.length &&
      answered.every((who) => read.answered.includes(who)) &&
      read.silent === asked.length - answered.length
    )
  })
}

/** None of these was done or is planned, and each other one of them was or is. */
export function notGone(read: NotGone, deeds: Deeds): boolean {
  const kinds = new Set(sourcesOf(deeds).map((s) => s.kind))
  const searched = sourcesOf(deeds).filter((s) => s.kind === 'database' && ranIn(deeds, s.id).length)
  const there: Record<NotGone[number], boolean> = {
    registers: kinds.has('register'),
    websites: kinds.has('web'),
    references: kinds.has('reference lists'),
    citing: kinds.has('citing papers'),
    people: kinds.has('people') || deeds.of('contact.set').some((p) => p.asked),
    'at once': searched.length < 2 || searched.some((s) => said(s.together)),
  }
  return (
    read.length > 0 &&
    searched.length > 0 &&
    deeds.counted('broad').length > 0 &&
    (Object.keys(there) as NotGone).every((what) => there[what] !== read.includes(what))
  )
}

/** Some source of this name was searched on just these days and taken out then, with what is said of its records. */
export function sourceGone(read: SourceGone, deeds: Deeds): boolean {
  const there = sourcesOf(deeds)
  const ids = [...new Set(deeds.of('source.set').map((s) => s.id))].filter((id) =>
    there.every((s) => s.id !== id),
  )
  return ids.some((id) => {
    const name = deeds.of('source.set').findLast((s) => s.id === id)!.name
    const out = deeds.of('source.remove').findLast((s) => s.id === id)!.$at
    const days = ranIn(deeds, id).map((r) => (r.at as string).slice(0, 10))
    const own = deeds.of('records.import').filter((i) => i.sourceId === id)
    const gone = new Map(deeds.of('import.remove').map((i) => [i.id, i.$at]))
    const left = own.filter((i) => gone.get(i.id) === out)
    return (
      said(name) === read.name &&
      read.another === there.some((s) => said(s.name) === read.name) &&
      timesAre(read.times, days) &&
      read.on === out.slice(0, 10) &&
      read.left === total(left, 'count') &&
      read.stayed ===
        total(
          own.filter((i) => !gone.has(i.id)),
          'count',
        )
    )
  })
}

const MONTHS: Readonly<Record<string, number>> = { month: 1, 'three months': 3, 'half year': 6, year: 12 }

/** The first day of a rhythm behind a day: months are counted on from its beginning; a month without such a day has none. */
function firstBehind({ every, from }: { every: string; from: string }, day: string): string {
  const [y, m, d] = from.split('-').map(Number) as [number, number, number]
  for (let n = 0; ; n += MONTHS[every]!) {
    const at = new Date(Date.UTC(y, m - 1 + n, d))
    const date = at.toISOString().slice(0, 10)
    if (at.getUTCDate() === d && date > day) return date
  }
}

/** Just these databases, of those that were searched, are to be searched again, so often and then next. */
export function searchAgain(read: SearchAgain, deeds: Deeds): boolean {
  const searched = sourcesOf(deeds).filter((s) => s.kind === 'database' && ranIn(deeds, s.id).length)
  const planned = searched.filter((s) => s.reminder)
  const told = read.flatMap((p) => p.names ?? searched.map((s) => s.name as string))
  return (
    planned.length > 0 &&
    told.length === planned.length &&
    planned.every((s) => {
      const days = ranIn(deeds, s.id).map((r) => (r.at as string).slice(0, 10))
      const reminder = s.reminder as { every: string; from: string }
      return read.some(
        (p) =>
          (p.names?.includes(s.name as string) ?? true) &&
          p.months === MONTHS[reminder.every] &&
          p.next === firstBehind(reminder, days.sort().at(-1)!),
      )
    })
  )
}
