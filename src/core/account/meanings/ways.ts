import type { Followed, Looked, NotGone, PeopleAsked, Time } from '../reads/en'
import type { Deeds } from './deeds'

type Payload = ReturnType<Deeds['of']>[number]

/** The last word on each thing of a kind, by its id. */
const last = (deeds: Deeds, kind: string): Payload[] => [
  ...new Map(deeds.of(kind).map((p) => [p.id as string, p])).values(),
]
const sourcesOf = (deeds: Deeds): Payload[] => {
  const gone = new Set(deeds.of('source.remove').map((p) => p.id))
  return last(deeds, 'source.set').filter((s) => !gone.has(s.id))
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
  const there: Record<NotGone[number], boolean> = {
    registers: kinds.has('register'),
    websites: kinds.has('web'),
    references: kinds.has('reference lists'),
    citing: kinds.has('citing papers'),
    people: kinds.has('people') || deeds.of('contact.set').some((p) => p.asked),
  }
  return (
    read.length > 0 &&
    deeds.of('run.log').length > 0 &&
    deeds.counted('broad').length > 0 &&
    (Object.keys(there) as NotGone).every((what) => there[what] !== read.includes(what))
  )
}
