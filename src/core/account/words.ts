import { dateWords, inWords, listed } from '../base'
import { leadsOut } from '../review'
import { limitWords, type LimitKind, type LimitValue } from '../query'
import { standingRuns, type Review, type Run } from '../review'

export { dateWords }

/** Terms that a sentence names; the rest stands with the terms. Six for each concept keep a section readable. */
const NAMED = 6

/** "a, b and c", or the first six "and four more": a section does not list every term (common practice). */
export function someNamed(terms: readonly string[]): string {
  // One more would take the room of its own name.
  if (terms.length <= NAMED + 1) return listed(terms)
  return `${terms.slice(0, NAMED).join(', ')} and ${inWords(terms.length - NAMED)} more`
}

/** A question with the answer that sets a work aside: "Was it loud? (set aside if not)". */
export const askedWords = (question: Parameters<typeof leadsOut>[0] & { text: string }): string =>
  `${question.text} (set aside if ${leadsOut(question) === 'no' ? 'not' : 'so'})`

/** A limit as running text has it: "from 2017 to 2026". */
export function periodWords(limit: LimitValue): string {
  if (limit.kind !== 'years' || limit.from === undefined) return limitWords(limit)
  return limit.to === undefined ? `from ${limit.from} on` : `from ${limit.from} to ${limit.to}`
}

/** A limit as what it lets through: "work published from 2017 to 2026", "work in English or German". */
export function workWords(limit: LimitValue): string {
  switch (limit.kind) {
    case 'years':
      if (limit.from === undefined) return `work published up to ${limit.to}`
      return limit.from === limit.to
        ? `work published in ${limit.from}`
        : `work published ${periodWords(limit)}`
    case 'language':
      return `work in ${limitWords(limit)}`
    case 'peer reviewed':
      return 'peer-reviewed work'
    case 'open access':
      return 'work in open access'
    case 'document type':
      return `work of the type ${limitWords(limit)}`
    default:
      return `work by ${limitNoun(limit.kind)} (${limitWords(limit)})`
  }
}

/** A pause in days after which a search counts as run again. */
const PAUSE = 14

export interface Spell {
  first: string
  last: string
}

/** Days of searching by the times at which it was done: a pause of more than two weeks begins another. */
export function spellsOf(days: readonly string[]): Spell[] {
  const spells: Spell[] = []
  for (const day of [...new Set(days)].sort()) {
    const spell = spells[spells.length - 1]
    const gap = spell ? (Date.parse(day) - Date.parse(spell.last)) / 86_400_000 : Infinity
    if (spell && gap <= PAUSE) spell.last = day
    else spells.push({ first: day, last: day })
  }
  return spells
}

const dayOf = (run: Run): string => run.at.slice(0, 10)
const runsIn = (review: Pick<Review, 'runs'>, sourceId: string): Run[] =>
  standingRuns(review.runs).filter((r) => r.sourceId === sourceId)

/** The days on which anything was run in a source, corrected runs left out. */
export const runDaysOf = (review: Pick<Review, 'runs'>, sourceId: string): string[] =>
  runsIn(review, sourceId).map(dayOf)

/**
 * The days on which a source was searched: those of its queries. What was done there without one has a day of its own, and is
 * no second search; where nothing else was done, it is the search.
 */
export function daysOf(review: Pick<Review, 'runs'>, sourceId: string): string[] {
  const runs = runsIn(review, sourceId)
  const queries = runs.filter((r) => r.text.trim())
  return (queries.length ? queries : runs).map(dayOf)
}

/** "on 15 April 2026", "between 15 and 21 April 2026". */
export function spellWords({ first, last }: Spell): string {
  if (first === last) return `on ${dateWords(first)}`
  const [from, to] = [dateWords(first).split(' '), dateWords(last).split(' ')]
  const same = from[2] !== to[2] ? 3 : from[1] !== to[1] ? 2 : 1
  return `between ${from.slice(0, same).join(' ')} and ${to.join(' ')}`
}

/** The days of searching as a sentence has them: "on 15 April 2026 and again between 17 and …". Empty for no days. */
export const searchedWords = (days: readonly string[]): string =>
  spellsOf(days).map(spellWords).join(' and again ')

/** The name of a concept inside a sentence: its capital goes, unless it is an acronym's or stands so in the question. */
export function nameInText(name: string, question: string): string {
  if (!/^\p{Lu}\p{Ll}/u.test(name)) return name
  const [first = ''] = name.split(/\s/)
  const asked = question.indexOf(first, 1)
  return asked > 0 ? name : name[0]!.toLowerCase() + name.slice(1)
}

/** A kind of limit as a thing. */
export const limitNoun = (kind: LimitKind): string => (kind === 'peer reviewed' ? 'peer review' : kind)
