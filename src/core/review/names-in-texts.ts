import { inPattern } from '../base'
import { plainReview } from './plain-review'
import type { Review } from './values'

/** A text that somebody wrote and that holds a name which the review knows. */
export interface NamedText {
  name: string
  /** Which part of the review it stands in, in words. */
  part: string
  text: string
}

/** Parts whose names are left out with the names of people, and parts in which nobody writes. */
const LEFT_OUT = new Set([
  'people',
  'contacts',
  'sides',
  'frozenTexts',
  'textRead',
  'samePersons',
  'imports',
  'profiles',
])
const CALLED: Readonly<Record<string, string>> = {
  account: 'the section',
  departures: 'reasons for departures',
  criteria: 'criteria',
  knownItems: 'known items',
  leftRemarks: 'remarks that were left',
  rulings: 'notes and reasons of rulings',
  runs: 'runs',
  searchReviews: 'comments on the searches',
  settledComments: 'answers to comments',
  settlements: 'how differences were settled',
  sources: 'sources',
  strategies: 'lines and their notes',
  terms: 'terms',
  ways: 'other ways',
}
/** Parts in which a name of an author is no name of a person of the review. */
const OF_AUTHORS = new Set(['knownItems', 'valuesSet'])

/**
 * Texts that hold the name of a person of the review, or of somebody who was asked. Where names are left out they are not: they
 * are what somebody wrote, and whoever hands on decides. A last name of four letters and more counts by itself.
 */
export function namesInTexts(review: Review): NamedText[] {
  const names = [
    ...review.people.flatMap((p) => p.name ?? []),
    ...(review.contacts ?? []).map((c) => c.who.trim()).filter(Boolean),
  ]
  const forms = [...new Set(names)].map((name) => {
    const last = name.split(/\s+/).at(-1)!
    const wanted = [name, ...(last.length > 3 ? [last] : [])].map(inPattern)
    return { name, at: new RegExp(`(?<![\\p{L}\\p{N}])(?:${wanted.join('|')})(?![\\p{L}\\p{N}])`, 'u') }
  })
  const found: NamedText[] = []
  const seen = new Set<string>()
  const walk = (value: unknown, part: string): void => {
    if (typeof value === 'string') {
      for (const { name, at } of forms) {
        const key = `${part}\n${name}\n${value}`
        if (!at.test(value) || seen.has(key)) continue
        seen.add(key)
        found.push({ name, part, text: value })
      }
    } else if (Array.isArray(value)) for (const one of value) walk(one, part)
    else if (typeof value === 'object' && value !== null)
      for (const one of Object.values(value)) walk(one, part)
  }
  if (forms.length)
    for (const [key, value] of Object.entries(plainReview(review)))
      if (!LEFT_OUT.has(key) && !OF_AUTHORS.has(key)) walk(value, CALLED[key] ?? key)
  return found
}
