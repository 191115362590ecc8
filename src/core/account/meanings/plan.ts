import { listed } from '../../base'
import type { KnownFound, KnownNamed, NoHeading, NotRequired, OneEnough, Terms } from '../reads/en'
import { counts, searchesOf, sourcesOf, standingRuns, type SlowSearch } from './as-searched'
import type { Deeds } from './deeds'
import { foundBy, limitHolds, readLine, wordsIn } from './what-is-found'

type Payload = ReturnType<Deeds['of']>[number]

/** Things that are there, each as it was set last. */
export function thingsOf(deeds: Deeds, kind: string, gone: string): Payload[] {
  const found = new Map<string, Payload>()
  for (const e of deeds.live) {
    const p = e.payload as { id: string }
    if (e.kind === kind) found.set(p.id, p as never)
    if (e.kind === gone) found.delete(p.id)
  }
  return [...found.values()]
}
export interface SlowConcept {
  id: string
  name: string
  essential: boolean
  note: string
}
export const conceptsOf = (deeds: Deeds): SlowConcept[] =>
  thingsOf(deeds, 'concept.set', 'concept.remove') as unknown as SlowConcept[]
/** Names as running text lists them: without regard to capitals. */
export const sameNames = (told: string, names: readonly string[], last = 'and'): boolean =>
  names.length > 0 && told.toLowerCase() === listed(names, last).toLowerCase()
/** A reason as it was given, inside a sentence. */
export const sameReason = (told: string | undefined, given: unknown): boolean =>
  (told ?? '').toLowerCase() ===
  String((given as string | undefined) ?? '')
    .trim()
    .replace(/\.$/, '')
    .toLowerCase()

export const askedIs = ({ question }: { question: string }, deeds: Deeds): boolean =>
  deeds.of('question.set').at(-1)?.text === question

export const dividedInto = ({ names }: { names: string }, deeds: Deeds): boolean =>
  sameNames(
    names,
    conceptsOf(deeds).map((c) => c.name),
  )

/** Does the line that counts find nothing but what a line of one of these concepts finds? */
function needs({ lines, last }: SlowSearch, concepts: readonly string[]): boolean {
  const own = lines.flatMap((l, n) =>
    l.conceptId !== undefined && concepts.includes(l.conceptId) ? [`line ${n + 1}`] : [],
  )
  return foundBy(lines, last, true).every((record) => record.some((r) => own.includes(r)))
}

/** Just these concepts are alternatives by the plan; each search asked for one of them and for none alone, or just these did not. */
export function oneEnough({ names, how, butIn }: OneEnough, deeds: Deeds): boolean {
  const concepts = conceptsOf(deeds)
  const searches = searchesOf(deeds)
  const run = searches.length > 0 && searches.every((s) => counts(s) && !s.lost)
  return thingsOf(deeds, 'alternatives.set', 'alternatives.remove').some((a) => {
    const own = (a.conceptIds as string[]).flatMap((id) => concepts.filter((c) => c.id === id && c.essential))
    const ids = own.map((c) => c.id)
    const otherwise = searches.filter((s) => !needs(s, ids) || ids.some((id) => needs(s, [id])))
    const not = otherwise.map((s) => s.name)
    return (
      own.length > 1 &&
      sameNames(
        names,
        own.map((c) => c.name),
      ) &&
      (how === 'plan' ? !run : run && (how === 'done' ? !not.length : sameNames(butIn ?? '', not)))
    )
  })
}

/** These are concepts that the plan does not require, with this reason; done, planned or not kept to as the searches were run. */
export function notRequired({ names, reason, how, butIn }: NotRequired, deeds: Deeds): boolean {
  const told = conceptsOf(deeds).filter((c) => !c.essential && sameReason(reason, c.note))
  const parts = names.toLowerCase().split(/, | and /)
  const own = told.filter((c) => parts.includes(c.name.toLowerCase()))
  const searches = searchesOf(deeds)
  const run = searches.length > 0 && searches.every((s) => counts(s) && !s.lost)
  const all = searches.filter((s) => own.some((c) => needs(s, [c.id]))).map((s) => s.name)
  return (
    own.length === parts.length &&
    (how === 'plan'
      ? !run
      : run && (how === 'done' ? all.length === 0 : all.length > 0 && sameNames(butIn ?? '', all)))
  )
}

interface SlowTerm {
  expression: string
  status: string
  kind: string
  sourceId: string
  reason?: string
}
const termsOf = (deeds: Deeds): SlowTerm[] =>
  (thingsOf(deeds, 'term.set', 'term.remove') as unknown as SlowTerm[]).map((t) => ({
    ...t,
    expression: t.expression.replace(/"/g, ''),
  }))

/** Words of all lines that were run as they stand. */
const wordsRun = (deeds: Deeds): Set<string> =>
  new Set(
    searchesOf(deeds).flatMap((s) =>
      s.lines.flatMap((l) =>
        s.ran.has(l.id) ? wordsIn(readLine(l.text)).map((w) => w.text.toLowerCase()) : [],
      ),
    ),
  )

/** Terms in use that were searched with are named, or all terms of a plan; as many stand in no line as is said. */
export function terms(read: Terms, deeds: Deeds): boolean {
  const used = termsOf(deeds).filter((t) => t.status === 'in use')
  const ran = wordsRun(deeds)
  const searched = deeds.of('run.log').length > 0
  const asked = used.filter((t) => ran.has(t.expression.toLowerCase()))
  const named = [...new Set((searched ? asked : used).map((t) => t.expression))]
  return (
    used.length > 0 &&
    read.searched === searched &&
    (read.count === undefined || read.count === used.length) &&
    (read.named === undefined ||
      (read.all
        ? sameNames(read.named, named)
        : read.named.split(/, | and /).every((n) => named.includes(n)) && named.length > 12)) &&
    // The short form of many says how many there are, and no more.
    (read.unasked === 'all'
      ? searched && !asked.length
      : (read.named === undefined || !searched || read.unasked === used.length - asked.length) &&
        (!searched || asked.length > 0))
  )
}

export function noHeading({ gaps, searched }: NoHeading, deeds: Deeds): boolean {
  const sources = sourcesOf(deeds)
  const nameOf = (id: unknown): unknown => sources.find((s) => s.id === id)?.name
  const noted = thingsOf(deeds, 'gap.set', 'gap.remove').filter((g) => nameOf(g.sourceId) !== undefined)
  const ran = new Set(searchesOf(deeds).map((s) => s.name))
  return (
    noted.length === gaps.length &&
    noted.every((g) =>
      gaps.some(
        (t) => t.name === nameOf(g.sourceId) && t.about.toLowerCase() === String(g.about).toLowerCase(),
      ),
    ) &&
    searched === gaps.every((g) => ran.has(g.name))
  )
}

/** So many dropped terms stood in something that was run; the appendix says why of each, where that is said. */
export function dropped(read: { count: number; reasoned: boolean }, deeds: Deeds): boolean {
  const ever = new Set(
    deeds.of('run.log').flatMap((r) => wordsIn(readLine(r.text as string)).map((w) => w.text.toLowerCase())),
  )
  const tried = termsOf(deeds).filter((t) => t.status === 'dropped' && ever.has(t.expression.toLowerCase()))
  return (
    tried.length === read.count &&
    read.count > 0 &&
    read.reasoned === tried.every((t) => (t.reason ?? '').trim() !== '')
  )
}

/** Known items with the time at which each was named, and whether it is among the records brought in. */
function knownItems(deeds: Deeds): { before: boolean; found: boolean; outside: boolean }[] {
  const first = Math.min(...deeds.of('run.log').map((r) => Date.parse(r.at as string)))
  const gone = new Set(deeds.of('known.remove').map((k) => k.id))
  const titles = new Set(
    deeds
      .brought()
      .flatMap((i) => Array.from({ length: i.count }, (_, n) => deeds.world.titleOf(`${i.id}/${n + 1}`))),
  )
  const searches = searchesOf(deeds)
  const years = (
    deeds.of('limit.set') as unknown as { limit: { kind: string; from?: number; to?: number } }[]
  )
    .map((l) => l.limit)
    .filter((l) => l.kind === 'years')
  /** A year that some limit on years leaves out in each search that counts. */
  const leftOut = (year: number): boolean =>
    searches.length > 0 &&
    searches.every(
      (s) =>
        counts(s) &&
        [...years, ...s.lines.flatMap((l) => l.limits.filter((x) => x.kind === 'years'))].some(
          (y) =>
            limitHolds(s.lines, s.last, y) &&
            (year < (y.from ?? Number.NEGATIVE_INFINITY) || year > (y.to ?? Infinity)),
        ),
    )
  return deeds.of('known.add').flatMap((e) =>
    (e.items as { id: string; title: string; year?: number }[])
      .filter((i) => !gone.has(i.id))
      .map((i) => {
        const found = titles.has(i.title)
        return {
          before: Date.parse(e.$at) < first,
          found,
          outside: !found && i.year !== undefined && leftOut(i.year),
        }
      }),
  )
}

function foundSo(told: KnownFound | undefined, deeds: Deeds): boolean {
  const all = knownItems(deeds)
  if (!told) return true
  const found = all.filter((k) => k.found).length
  const outside = all.filter((k) => k.outside).length
  const missed = all.length - found - outside
  return (
    deeds.brought().length > 0 &&
    told.one === (all.length === 1) &&
    (told.found === 'all' ? found === all.length : told.found === found) &&
    (told.outside === 'untold'
      ? outside === 0
      : told.outside === 'the rest'
        ? outside > 0 && missed === 0
        : told.outside === outside) &&
    (told.missed === undefined || told.missed === missed)
  )
}

export function knownNamed({ count, when, found }: KnownNamed, deeds: Deeds): boolean {
  const all = knownItems(deeds)
  const before = all.filter((k) => k.before).length
  const ran = deeds.of('run.log').length > 0
  return (
    count > 0 &&
    (when === 'before'
      ? ran && count === before
      : when === 'while'
        ? ran && before === 0 && count === all.length
        : !ran && count === all.length) &&
    foundSo(found, deeds)
  )
}

export function knownAdded({ count, found }: { count: number; found?: KnownFound }, deeds: Deeds): boolean {
  const all = knownItems(deeds)
  const before = all.filter((k) => k.before).length
  return before > 0 && count === all.length - before && foundSo(found, deeds)
}

export const knownFound = (told: KnownFound, deeds: Deeds): boolean => foundSo(told, deeds)

/** Who ran anything of it: of them nobody is another person. */
export const searchers = (deeds: Deeds): Set<string> => new Set(standingRuns(deeds).map((r) => r.by))
