import { heldEntries, heldValues, letGo } from '../base'
import { putRuling } from './put-ruling'
import { togetherSaid, type SearchReview } from './search-review-values'
import type { Person, Review, Ruling } from './values'

/** What a side journal comes to, by itself: its person's rulings, what they say of the searches, and their name. */
export interface SideState {
  rulings: Review['rulings']
  searches: SearchReview | undefined
  person: Person | undefined
}

/** One chain of a person's side journal that was taken in, the longest of its kind. */
export interface SideTaken {
  person: string
  /** The digests of its entries, by which they are known again. */
  digests: string[]
  state: SideState
}

/**
 * Takes a side journal in. What is known already adds nothing; one that goes on from what is known takes its place; two
 * that parted are both kept, and where they differ it is said so. The outcome is the same in any order, any number of
 * times.
 */
export function takeSide(review: Review, side: SideTaken): void {
  const { digests } = side
  const head = digests.at(-1)
  if (head === undefined) return
  const own = review.sides.filter((s) => s.person === side.person)
  if (own.some((s) => s.digests.includes(head))) return
  const kept = own.filter((s) => !digests.includes(s.digests.at(-1)!))
  kept.push(side)
  review.sides = [...review.sides.filter((s) => s.person !== side.person), ...kept].sort((a, b) =>
    keyOf(a) < keyOf(b) ? -1 : 1,
  )
  putRulings(review, side.person, kept)
  putSearchReview(review, side.person, kept)
  putName(review, side.person, kept)
}

const keyOf = (s: SideTaken): string => `${s.person} ${s.digests.at(-1)!}`

function putRulings(review: Review, person: string, chains: readonly SideTaken[]): void {
  for (const own of heldValues(review.rulings))
    for (const pass of ['broad', 'close']) delete own[`${pass}/${person}`]
  const sorted = [...chains].sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1))
  const said = new Map<string, Ruling[]>()
  for (const { state } of sorted)
    for (const [recordId, own] of heldEntries(state.rulings))
      for (const [key, ruling] of Object.entries(own)) {
        const name = `${recordId}\n${key}`
        said.set(name, [...(said.get(name) ?? []), ruling])
      }
  for (const [name, all] of said) {
    const [recordId = '', key = ''] = name.split('\n')
    const first = all[0]!
    const alike = all.every((r) => r.verdict === first.verdict)
    putRuling(review, key, alike ? first : { recordId, pass: first.pass, reader: person, verdict: 'unsure' })
  }
  // A record of which nothing is said any more, by anybody, is as if it had never been spoken of.
  for (const [recordId, own] of heldEntries(review.rulings))
    if (!Object.keys(own).length) letGo(review.rulings, recordId)
}

function putSearchReview(review: Review, person: string, chains: readonly SideTaken[]): void {
  const said = togetherSaid(
    person,
    chains.flatMap(({ state }) => state.searches ?? []),
  )
  const { [person]: _before, ...others } = review.searchReviews ?? {}
  const all = said ? { ...others, [person]: said } : others
  if (Object.keys(all).length) review.searchReviews = all
  else delete review.searchReviews
}

function putName(review: Review, person: string, chains: readonly SideTaken[]): void {
  const named = chains
    .flatMap(({ state }) => state.person ?? [])
    .sort((a, b) => ((a.name ?? '') < (b.name ?? '') ? -1 : 1))
  const others = review.people.filter((p) => p.id !== person)
  if (!named[0]) return
  const sides = new Set(review.sides.map((s) => s.person))
  const apart = [...others.filter((p) => sides.has(p.id)), { ...named[0], id: person }]
  review.people = [...others.filter((p) => !sides.has(p.id)), ...apart.sort((a, b) => (a.id < b.id ? -1 : 1))]
}
