import { inWords, listed, plural } from '../../../base'
import { standingRuns } from '../../../review'
import { searchedIn, limitApplied, strategyUnknown } from '../../standing'
import { asRun } from '../../as-run'
import { READS } from '../../reads/en'
import { limitsBeyond } from '../../sayings/limits-beyond'
import { dateWords, daysOf, limitNoun, spellsOf, workWords } from '../../words'
import { countsOf, denies, isPlan, ofAll, type Matter } from './said'

const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)

/** How many databases were searched. */
export const databaseCount: Matter = (s, { review }) => {
  if (isPlan(s) || /\b(?:at once|again|limit|thesaurus|headings?|of them|counts?|cannot|as well)\b/i.test(s))
    return undefined
  if (!/\bsearch|\bconsulted|\bqueried|\bran\b|\bserved|\blooked for|\bsought|\bcovered/i.test(s))
    return undefined
  const n = searchedIn(review).length
  const told = countsOf(s, 'databases?')
  return told.length === 1 && told[0] !== n && n > 0
    ? `${plural(n, 'database')} ${n === 1 ? 'was' : 'were'} searched`
    : undefined
}

const OF_SEARCHING = /\bsearch(?:ed|es|ing)?\b|\bqueried\b/i
const OTHERWISE =
  /\bpublish|\bpublication|\blimit|\bprotocol|\bplan\b|\bregistered|\breview(?:ed)?\b|\basked\b|\breferences of|\bknown\b|\brun again\b|\btaken out\b/i

/** On which days: months and years that are named are such in which something was run. */
export const searchDays: Matter = (s, { review }) => {
  if (isPlan(s) || !OF_SEARCHING.test(s) || OTHERWISE.test(s)) return undefined
  const days = standingRuns(review.runs).map((r) => r.at.slice(0, 10))
  if (!days.length) return undefined
  const named = [...s.matchAll(new RegExp(`(?:(${MONTHS.join('|')}) )?\\b((?:19|20)\\d\\d)\\b`, 'g'))]
  const wrong = named.some(([, month, year]) => {
    const begin = month ? `${year}-${String(MONTHS.indexOf(month) + 1).padStart(2, '0')}` : year!
    return !days.some((d) => d.startsWith(begin))
  })
  const [first, last] = [days.toSorted()[0]!, days.toSorted().at(-1)!]
  if (wrong) return `searches were run between ${dateWords(first)} and ${dateWords(last)}`
  const oneDay = /\b(?:a|one|the same) (?:single )?day\b/i.test(s)
  if (oneDay && first !== last) return `searches were run between ${dateWords(first)} and ${dateWords(last)}`
  const times = Math.max(...searchedIn(review).map((d) => spellsOf(daysOf(review, d.id)).length), 1)
  const once =
    /\bonce\b(?! more)|\bsingle time\b|\bnot (?:repeated|updated|run again|renewed)\b/i.test(s) &&
    !/\bat once\b/i.test(s)
  return once && times > 1 ? `databases were searched ${inWords(times)} times` : undefined
}

const LANGUAGES = /\blanguages?\b|\bEnglish\b|\bGerman\b|\bSpanish\b/
const KINDS = [
  ['language', LANGUAGES],
  ['years', /\byears?\b|\bdates?\b|\b(?:19|20)\d\d\b/i],
  ['peer reviewed', /\bpeer[- ]review/i],
] as const

/** Of a sentence on what one search was limited to beyond the plan: what the record has, where that is another. */
function beyondThePlan(
  s: string,
  { review }: Parameters<Matter>[1],
): { record: string | undefined } | undefined {
  const read = READS['limits-beyond'](s)
  const source = read && searchedIn(review).find((d) => d.name === read.source)
  if (!source) return undefined
  const held = listed((limitsBeyond(asRun(review)).get(source.id) ?? []).map(workWords))
  if (held && s.includes(`limited to ${held}`)) return { record: undefined }
  return { record: held ? `it was limited to ${held}` : 'it had no limit beyond those of the plan' }
}

/** Which limits held, and in how many of the databases. */
export const limits: Matter = (s, c) => {
  if (isPlan(s) || !/\blimit|\brestrict|\bfiltered|\bany (?:year|language)/i.test(s)) return undefined
  // That nobody knows of limits is no word on what they were.
  if (READS['searched-before'](s)) return undefined
  const beyond = beyondThePlan(s, c)
  if (beyond) return beyond.record
  const { review } = c
  // Of a search that nobody here knows, nothing is held against what is said of the others.
  const searched = searchedIn(review).filter((d) => !strategyUnknown(review, d.id))
  const held = (limit: (typeof review.limits)[number]): number =>
    searched.filter((d) => ['applied', 'stood in'].includes(limitApplied(c, limit, d.id))).length
  const named = KINDS.flatMap(([kind, words]) => (words.test(s) ? [kind as string] : []))
  const meant = review.limits.filter((l) => !named.length || named.includes(l.limit.kind))
  const without =
    (denies(s) && !/\bcannot\b|\bnot (?:be )?limit|\bdo not\b|\bleave out\b/i.test(s)) ||
    /\bany (?:year|language)/i.test(s)
  if (without) {
    const there = meant.filter((l) => held(l) > 0)
    return there.length
      ? `searches were limited by ${there.map((l) => limitNoun(l.limit.kind)).join(', ')}`
      : undefined
  }
  if (!/\b(?:every|each|all)\b[^,;]*\b(?:search(?:es)?|databases?)\b/i.test(s) || !ofAll(s)) return undefined
  const partly = meant.find((l) => named.includes(l.limit.kind) && held(l) < searched.length)
  return partly
    ? `the limit of ${limitNoun(partly.limit.kind)} held in ${held(partly)} of ${plural(searched.length, 'database')}`
    : undefined
}
