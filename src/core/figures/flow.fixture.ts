// A slow counter of the flow that walks the journal and shares no code with the fast one: law 5 is held against it.
import type { Entry, Import, Works } from '../review'

interface Said {
  recordId: string
  pass: string
  reader: string
  verdict: string
  criterionId?: string
  reason?: string
  unread?: boolean
  replaces?: string[]
}
type Any = Record<string, unknown>

/** The deeds that are in force: those that were undone and not done again are left out. */
function inForce(entries: readonly Entry[]): Entry[] {
  const gone = new Set<number>()
  for (const { kind, payload } of entries) {
    const { seq } = payload as { seq?: number }
    if (kind === 'undo') gone.add(seq!)
    if (kind === 'redo') gone.delete(seq!)
  }
  return entries.filter((e) => !gone.has(e.seq) && e.kind !== 'undo' && e.kind !== 'redo')
}

export interface SlowFlow {
  /** By "round/column/place/reason" how many works. */
  places: Record<string, number>
  conflicts: { broad: number; close: number }
  noText: number
  included: number
  /** Included works on which there is a notice. */
  noticed: number
}

/** Where each work is, found by walking the journal from its beginning; `works` says which records are one. */
export function slowFlow(entries: readonly Entry[], works: Works, imports: readonly Import[]): SlowFlow {
  const deeds = inForce(entries)
  const kinds = new Map<string, string>()
  const said: Said[] = []
  const settled: Any[] = []
  const fetched: Any[] = []
  const rules: Record<string, string> = {}
  const relations = new Map<string, Any>()
  const without = (test: (s: Said) => boolean): void => {
    for (let n = said.length - 1; n >= 0; n--) if (test(said[n]!)) said.splice(n, 1)
  }
  for (const { kind, payload: p } of deeds as { kind: string; payload: Any }[]) {
    if (kind === 'source.set') kinds.set(p.id as string, p.kind as string)
    if (kind === 'ruling.set') {
      const own = p as unknown as Said
      without((s) => s.recordId === own.recordId && s.pass === own.pass && s.reader === own.reader)
      for (const s of said)
        if (s.pass === own.pass && s.reader === own.reader && own.replaces?.includes(s.recordId))
          s.replaces = (s.replaces ?? []).filter((id) => id !== own.recordId)
      said.push({ ...own, replaces: [...(own.replaces ?? [])] })
    }
    if (kind === 'ruling.many')
      for (const recordId of p.records as string[]) {
        const own: Said = {
          recordId,
          pass: p.pass as string,
          reader: p.reader as string,
          verdict: p.verdict as string,
          reason: p.because as string,
          unread: true,
        }
        without((s) => s.recordId === recordId && s.pass === own.pass && s.reader === own.reader)
        said.push(own)
      }
    if (kind === 'ruling.remove') {
      const ids = [p.recordId as string, ...((p.also as string[] | undefined) ?? [])]
      without((s) => ids.includes(s.recordId) && s.pass === p.pass && s.reader === p.reader)
    }
    if (kind === 'ruling.settle') settled.push(p)
    if (kind === 'retrieval.set') fetched.push(p)
    if (kind === 'work.relate') {
      relations.delete(`${p.a as string} ${p.b as string}`)
      relations.set(`${p.a as string} ${p.b as string}`, p)
    }
    if (kind === 'selection.rule') rules[p.pass as string] = p.rule as string
  }
  const flow: SlowFlow = { places: {}, conflicts: { broad: 0, close: 0 }, noText: 0, included: 0, noticed: 0 }
  for (const work of works.works) {
    const names = [...work.records, ...work.former]
    const pass = (name: string): { verdict: string; reason: string; unread: boolean; conflict: boolean } => {
      const readers = new Map<string, Said[]>()
      for (const s of said)
        if (s.pass === name && names.includes(s.recordId))
          readers.set(s.reader, [...(readers.get(s.reader) ?? []), s])
      const each: Said[] = []
      for (const all of readers.values()) {
        const replaced = all.flatMap((s) => s.replaces ?? []).filter((id) => names.includes(id))
        const left = all.filter((s) => !replaced.includes(s.recordId))
        if (!left.length) continue
        const inOrder = names.flatMap((id) => left.filter((s) => s.recordId === id))
        const alike = inOrder.every((s) => s.verdict === inOrder[0]!.verdict)
        each.push(alike ? inOrder[0]! : { ...inOrder[0]!, verdict: 'unsure', unread: false })
      }
      const verdicts = new Set(each.map((s) => s.verdict))
      if (!each.length) return { verdict: 'left', reason: '', unread: false, conflict: false }
      const word = settled.filter((p) => p.pass === name && names.includes(p.recordId as string))
      // Of a work's records the later one that was settled counts; of one record, what was said last.
      const last = new Map(word.map((p) => [p.recordId as string, p]))
      const order = [...new Set(settled.map((p) => p.recordId as string))].filter((id) => last.has(id))
      const end = last.get(order.at(-1) ?? '') as (Said & Any) | undefined
      const why = (s: { criterionId?: string; reason?: string }): string =>
        s.criterionId ?? (s.reason?.trim() ? `words:${s.reason.trim()}` : 'none')
      if (end) return { verdict: end.verdict, reason: why(end), unread: false, conflict: false }
      const conflict = verdicts.size > 1
      if (conflict && rules[name] === 'settle first')
        return { verdict: 'to settle', reason: '', unread: false, conflict }
      if (conflict && rules[name] === 'all agree' && !verdicts.has('out'))
        return { verdict: 'unsure', reason: '', unread: false, conflict }
      if (rules[name] !== 'all agree' || !conflict) {
        if (verdicts.has('in')) return { verdict: 'in', reason: '', unread: false, conflict }
        if (conflict || verdicts.has('unsure'))
          return { verdict: 'unsure', reason: '', unread: false, conflict }
      }
      const outs = each.filter((s) => s.verdict === 'out')
      const whys = new Set(outs.map(why))
      if (whys.size > 1) whys.delete('none')
      const reason = whys.size > 1 ? 'differ' : [...whys][0]!
      return { verdict: 'out', reason, unread: outs.every((s) => s.unread), conflict }
    }
    /** Some notice on another work is said to be this record, or this record to have one. */
    const related = (mine: 'a' | 'b', other: 'a' | 'b'): boolean =>
      [...relations.values()].some(
        (p) =>
          p.how === 'notice of' &&
          names.includes(p[mine] as string) &&
          !names.includes(p[other] as string) &&
          works.works.some((w) => [...w.records, ...w.former].includes(p[other] as string)),
      )
    const [broad, close] = [pass('broad'), pass('close')]
    const further = ['wanted', 'not to be had', 'loan asked', 'subscription', 'open copy', 'have']
    const latest = new Map(
      fetched.filter((p) => names.includes(p.recordId as string)).map((p) => [p.recordId, p.state as string]),
    )
    const furthest = [...latest.values()].sort((a, b) => further.indexOf(b) - further.indexOf(a))[0]
    let place = 'included'
    let reason: string | undefined
    if (related('a', 'b')) {
      place = 'removed'
      reason = 'notice'
    } else if (broad.verdict === 'left') place = 'unread'
    else if (broad.verdict === 'out') {
      place = broad.unread ? 'removed' : 'set aside'
      reason = broad.reason
    } else if (broad.verdict === 'unsure') place = 'open'
    else if (broad.verdict === 'to settle') place = 'to settle'
    else if (close.verdict === 'out') {
      place = 'out'
      reason = close.reason
    } else if (close.verdict === 'unsure') place = 'close open'
    else if (close.verdict === 'to settle') place = 'close to settle'
    else if (close.verdict === 'left')
      place = furthest === undefined ? 'to be sought' : furthest === 'not to be had' ? 'not had' : 'sought'
    if (['included', 'out', 'close open', 'close to settle'].includes(place))
      if (!['subscription', 'open copy', 'have'].includes(furthest ?? '')) flow.noText++
    const of = imports.find((i) => work.id.startsWith(`${i.id}/`))!
    const kind = kinds.get(of.sourceId)
    const column =
      kind === 'database' || kind === undefined ? 'databases' : kind === 'register' ? 'registers' : 'other'
    const key = [of.roundId ?? '', column, place, reason ?? ''].join('/')
    flow.places[key] = (flow.places[key] ?? 0) + 1
    if (broad.conflict) flow.conflicts.broad++
    if (close.conflict) flow.conflicts.close++
    if (place === 'included') flow.included++
    if (place === 'included' && related('b', 'a')) flow.noticed++
  }
  return flow
}
