import type { ProtocolAmended, ProtocolFrozen } from '../reads/en'
import { standingRuns } from './as-searched'
import { Deeds, type Deed } from './deeds'

const freezings = (deeds: Deeds): Deed[] =>
  deeds.live.filter((e) => e.kind === 'protocol.freeze' || e.kind === 'protocol.amend')
const at = (e: Deed): string => (e.payload as { at: string }).at
const day = (e: Deed): string => at(e).slice(0, 10)

/** Everything of a plan that can differ, by its name, as it stood behind an entry. */
function planAt({ live }: Deeds, seq: number): Map<string, string> {
  const plan = new Map<string, string>()
  const known: string[] = []
  for (const e of live) {
    if (e.seq > seq) break
    const p = e.payload as Record<string, unknown> & { id: string }
    const [what = '', how] = e.kind.split('.')
    if (e.kind === 'question.set') plan.set('question', p.text as string)
    if (e.kind === 'concept.set') plan.set(`concept ${p.id}`, `${p.name as string} ${p.essential as boolean}`)
    if (e.kind === 'limit.set') plan.set(`limit ${p.id}`, JSON.stringify(p.limit))
    if (e.kind === 'source.set') plan.set(`source ${p.id}`, `${p.name as string} ${p.kind as string}`)
    if (e.kind === 'criterion.set') plan.set(`criterion ${p.id}`, JSON.stringify(p))
    if (e.kind === 'alternatives.set') plan.set(`alternatives ${p.id}`, JSON.stringify(p.conceptIds))
    if (e.kind === 'known.add') known.push(...(p.items as { title: string }[]).map((i) => i.title))
    if (how === 'remove') plan.delete(`${what} ${p.id}`)
  }
  return plan.set('known', known.join())
}

const differing = (deeds: Deeds, a: number, b: number): string[] => {
  const [was, is] = [planAt(deeds, a), planAt(deeds, b)]
  return [...new Set([...was.keys(), ...is.keys()])].filter((k) => was.get(k) !== is.get(k))
}

/** What an amendment took in when it had been acted on already: changed, then something run or ruled, then amended. */
const amendedLate = (deeds: Deeds): number => {
  const all = freezings(deeds)
  return all.slice(1).reduce((sum, amended, n) => {
    const before = all[n]!
    const late = differing(deeds, before.seq, amended.seq).filter((key) => {
      const changed = deeds.live.findLast(
        (e) =>
          e.seq > before.seq &&
          e.seq < amended.seq &&
          planAt(deeds, e.seq - 1).get(key) !== planAt(deeds, e.seq).get(key),
      )
      return (
        changed &&
        deeds.live.some((e) => e.seq > changed.seq && e.seq < amended.seq && /^(?:run|ruling)\./.test(e.kind))
      )
    })
    return sum + late.length
  }, 0)
}

/** Titles and abstracts that fewer read than the protocol has it, where the reading is over or was acted on. */
function fewer(deeds: Deeds, planned: number): number {
  const counted = deeds.counted('broad')
  const over = deeds.works.every((w) => deeds.stands(w, 'broad').verdict !== 'left')
  if (!counted.length || !(over || deeds.counted('close').length)) return 0
  return counted.some((w) => deeds.readers(w, 'broad').length < planned) ? 1 : 0
}

/** In how many points what was done differs from the protocol in force, or did when it was amended. */
function pointsOf(deeds: Deeds): number {
  const last = freezings(deeds).at(-1)
  if (!last) return 0
  const { readers } = last.payload as { readers: number }
  return amendedLate(deeds) + differing(deeds, last.seq, Infinity).length + fewer(deeds, readers)
}

export function protocolFrozen(read: ProtocolFrozen, deeds: Deeds): boolean {
  const [first] = freezings(deeds)
  if (!first || (read.day !== undefined && read.day !== day(first))) return false
  const runs = standingRuns(deeds)
  const before = runs.length > 0 && runs.every((r) => Date.parse(r.at) > Date.parse(at(first)))
  const after = runs.length > 0 && !before
  const place = deeds.of('protocol.register').at(-1)
  const where = place && `${place.place as string} (${place.number as string})`
  const told = read.points !== undefined
  return (
    (read.when === 'before' ? before : read.when === 'after' ? after : told ? after : !runs.length) &&
    (read.registered === undefined
      ? told || read.when === 'untold'
      : read.registered === false
        ? where === undefined
        : read.registered === where) &&
    (!told || (runs.length > 0 && read.points === pointsOf(deeds)))
  )
}

export function protocolAmended({ times, last, reason }: ProtocolAmended, deeds: Deeds): boolean {
  const all = freezings(deeds)
  const why = (all[1]?.payload as { why?: string } | undefined)?.why ?? ''
  return (
    times > 0 &&
    all.length === times + 1 &&
    last === day(all.at(-1)!) &&
    (times > 1 || (reason ?? '') === why.trim())
  )
}

export const departed = ({ points }: { points: number }, deeds: Deeds): boolean =>
  points > 0 && points === pointsOf(deeds) && standingRuns(deeds).length > 0
