import type { Print } from './print'
import { abstracts, likenessAtMost, signalsOf, type Signal, type Signals } from './signals'

export type Class = 'certain' | 'to settle' | 'different'

/** What two records are to each other, and why. */
export interface Judgement {
  class: Class
  /** What forbids that they are one work, in words; then they are different whatever else is alike. */
  veto?: string
  /** What speaks against a certain join, in words. */
  against?: string
  /** They are two versions of one work, in words. */
  versions?: string
  signals: Signal[]
}

/** The rules of version 1: partitions that they made are made again by them. */

/**
 * Can it be seen at once that two records are different? Never said of two that would be judged otherwise; said of most,
 * so that only few are compared letter by letter.
 */
export function plainlyDifferent(a: Print, b: Print): boolean {
  if (a.doi !== undefined && a.doi === b.doi) return false
  if (a.year !== undefined && b.year !== undefined && Math.abs(a.year - b.year) > 1) return true
  if (!a.title.length || !b.title.length) return false
  if (a.mainText === b.titleText || b.mainText === a.titleText) return false
  return likenessAtMost(a, b) < LEAST
}
/** Titles less alike than this are other titles, whatever else is the same. */
export const LEAST = 0.7

/** What two records are by themselves so that they can never be one work, in words: by the rules of every version. */
export function otherKinds(a: Print, b: Print, s: Signals, versions = false): string | undefined {
  if (a.special !== b.special) return `one of them is a ${a.special ?? b.special} of the other`
  if (a.part !== undefined && b.part !== undefined && a.part !== b.part) return 'they are parts of one series'
  if ((a.part === undefined) !== (b.part === undefined) && s.title.same !== 'same' && !s.title.cut)
    return 'one of them is a part of a series'
  const other = a.kind && b.kind && a.kind !== b.kind
  if (other && (a.kind === 'thesis' || b.kind === 'thesis')) return 'one is a thesis, the other not'
  if (other && !versions && (a.kind === 'conference' || b.kind === 'conference'))
    return 'one is a conference paper, the other not'
  return undefined
}

/** What forbids that two records are one work, in words. */
export function vetoOf(a: Print, b: Print, s: Signals): string | undefined {
  const kinds = otherKinds(a, b, s)
  if (kinds) return kinds
  const elsewhere = [s.year, s.volume, s.page].some((x) => x.same === 'different' || x.same === 'near')
  if ((a.generic || b.generic) && elsewhere) return 'a title that comes again every year'
  if (s.doi.same === 'different' && s.page.same === 'different') return 'another DOI and another first page'
  return undefined
}

/** Says what two records are to each other. */
export function judge(a: Print, b: Print): Judgement {
  const s = signalsOf(a, b)
  const signals: Signal[] = [s.doi, s.title, s.authors, s.year, s.journal, s.volume, s.issue, s.page]
  const veto = vetoOf(a, b, s)
  if (veto) return { class: 'different', veto, signals }
  const found = certainly(a, b, s)
  if (found) return { class: 'certain', signals }
  if (!perhaps(s)) return { class: 'different', signals }
  // Where places contradict each other, only the text itself can still make them one.
  const abstract = abstracts(a, b)
  signals.push(abstract)
  if (abstract.same === 'same' && s.title.value >= 0.8 && s.authors.same !== 'different' && !contradicts(s))
    return { class: 'certain', signals }
  if (abstract.same === 'different' && s.title.same !== 'same' && s.doi.same !== 'same')
    return { class: 'different', signals }
  return { class: 'to settle', signals }
}

const known = (signal: Signal): boolean => signal.same === 'same'
const contradicts = (s: Signals): boolean =>
  s.doi.same === 'different' ||
  s.page.same === 'different' ||
  s.volume.same === 'different' ||
  s.year.same === 'different'

function certainly(a: Print, b: Print, s: Signals): boolean {
  const people = s.authors.same === 'same' || s.authors.same === 'near'
  const near = s.year.same !== 'different'
  // The same DOI is enough where nothing else says otherwise.
  if (known(s.doi)) return s.title.value >= 0.6 || (s.title.same === 'unknown' && near)
  if (!people || !near || s.doi.same === 'different') return false
  const long = Math.min(a.title.length, b.title.length) >= 4
  const place = known(s.page) && s.volume.same !== 'different'
  const volume = known(s.volume) && s.page.same !== 'different' && s.issue.same !== 'different'
  if (s.title.same === 'same')
    return (
      place ||
      (long && volume) ||
      (long && s.page.same === 'unknown' && s.volume.same === 'unknown' && known(s.year))
    )
  if (s.title.cut) return place || (volume && known(s.year))
  return s.title.value >= 0.9 && (place || (volume && known(s.year) && s.journal.same !== 'different'))
}

/** Is it worth a person's look? */
function perhaps(s: Signals): boolean {
  if (known(s.doi)) return true
  const { value } = s.title
  const people = s.authors.same !== 'different'
  if (s.title.same === 'same' || s.title.cut) return people && s.year.same !== 'different'
  if (value >= 0.85 && people && s.year.same !== 'different')
    return !(s.page.same === 'different' && s.volume.same === 'different')
  return (
    value >= LEAST &&
    known(s.page) &&
    known(s.volume) &&
    s.authors.same === 'same' &&
    s.year.same !== 'different'
  )
}
