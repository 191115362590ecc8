import { dateWords, inWords, listed } from '../base'
import { leadsOut } from '../review'
import { limitWords, type LimitKind, type LimitValue } from '../query'
import { standingRuns, type Review } from '../review'

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

/** The days on which something was run in a source, corrected runs left out. */
export const daysOf = (review: Pick<Review, 'runs'>, sourceId: string): string[] =>
  standingRuns(review.runs)
    .filter((r) => r.sourceId === sourceId)
    .map((r) => r.at.slice(0, 10))

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
