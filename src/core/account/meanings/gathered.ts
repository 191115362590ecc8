import type { CameIn, RemovedUnread, TextsSoughtRead, UpdateBrought } from '../reads/en'
import { countedRun } from './counted'
import type { Deeds } from './deeds'
import { reasonWords } from './reason-words'

const isIncluded = (deeds: Deeds, work: string): boolean =>
  deeds.stands(work, 'broad').verdict === 'in' && deeds.stands(work, 'close').verdict === 'in'

export function cameIn(read: CameIn, deeds: Deeds): boolean {
  const files = deeds.brought()
  const records = files.reduce((n, i) => n + i.count, 0)
  const works = deeds.groups()
  const alone = works.filter((w) => new Set(w.from.map((i) => i.sourceId)).size === 1).length
  const sources = deeds.of('source.set').filter((s) => s.kind === 'database')
  const hits = sources.flatMap((s) => countedRun(s.name as string, deeds)?.hits ?? [])
  return (
    read.records === records &&
    records > 0 &&
    // Only where all that came in came of these searches.
    (read.found === undefined ||
      (read.found === hits.reduce<number>((n, h) => n + Number(h), 0) &&
        // What was done without a query found records too.
        deeds.of('run.log').every((r) => r.text !== '' || r.how === 'before') &&
        files.every((i) =>
          sources.some((s) => s.id === i.sourceId && countedRun(s.name as string, deeds)),
        ))) &&
    (read.works ?? records) === works.length &&
    (read.described ?? records - works.length) === records - works.length &&
    (read.once === undefined || (read.once === alone && new Set(files.map((i) => i.sourceId)).size > 1))
  )
}

/** One round behind the first brought so many, of which so many were works that nothing had brought before. */
export function updateBrought(read: UpdateBrought, deeds: Deeds): boolean {
  const files = deeds.brought()
  const rounds = [...new Set(files.map((i) => i.roundId))].slice(1)
  return rounds.some((round) => {
    const fresh = deeds.groups().filter((w) => w.from[0]!.roundId === round)
    return (
      read.records === files.reduce((n, i) => n + (i.roundId === round ? i.count : 0), 0) &&
      read.works === fresh.length &&
      read.included === fresh.filter((w) => isIncluded(deeds, w.records[0]!)).length
    )
  })
}

/** Included works, those that were bound as one study counted once: by what they were bound to last. */
export function studies(read: { studies: number }, deeds: Deeds): boolean {
  const bound = new Map<string, string[]>()
  for (const e of deeds.live) {
    const p = e.payload as { id: string; records: string[] }
    if (e.kind === 'study.bind') bound.set(p.id, p.records)
    if (e.kind === 'study.part') bound.delete(p.id)
  }
  const included = deeds.groups().filter((w) => isIncluded(deeds, w.records[0]!))
  const names = included.map((w) => {
    const of = [...bound].findLast(([, records]) => records.some((r) => w.ever.includes(r)))
    return of ? `study ${of[0]}` : w.records[0]!
  })
  return read.studies === new Set(names).size && read.studies < included.length
}

/** All that passed titles and abstracts, with what was noted of their texts where nobody ruled on these. */
export function textsSought(read: TextsSoughtRead, deeds: Deeds): boolean {
  const passed = deeds.works.filter((w) => deeds.stands(w, 'broad').verdict === 'in')
  const noted = new Map(deeds.of('retrieval.set').map((p) => [p.recordId as string, p.state as string]))
  const unread = passed.filter((w) => deeds.stands(w, 'close').verdict === 'left')
  const count = (test: (state: string | undefined) => boolean): number =>
    unread.filter((w) => test(noted.get(w))).length
  return (
    passed.length > 0 &&
    read.works === passed.length &&
    read.notLooked === count((s) => s === undefined) &&
    read.notHad === count((s) => s === 'not to be had') &&
    read.awaited === count((s) => s !== undefined && s !== 'not to be had')
  )
}

/** So many went out by what a filter found, read by nobody; reasons sum to them, or are left out. */
export function removedUnread(read: RemovedUnread, deeds: Deeds): boolean {
  const out = deeds.works.filter((w) => {
    const { verdict, unread } = deeds.stands(w, 'broad')
    return verdict === 'out' && unread
  })
  const reasons = new Map<string, number>()
  for (const w of out) {
    const words = reasonWords(deeds, deeds.stands(w, 'broad').reason)
    reasons.set(words, (reasons.get(words) ?? 0) + 1)
  }
  return (
    out.length > 0 &&
    read.works === out.length &&
    (!read.reasons.length || read.reasons.reduce((n, r) => n + r.count, 0) === out.length) &&
    read.reasons.every((r) => r.words === 'other reasons' || reasons.get(r.words) === r.count)
  )
}
