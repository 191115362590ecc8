import { held, heldEntries, heldNames, letGo } from '../base'
import { lastOf, ownOf } from './last-word'
import { firstOf, putRuling } from './put-ruling'
import { togetherSaid, type SearchReview } from './search-review-values'
import type { PassName, Person, Retrieval, Review, Ruling, Settlement } from './values'

/** What a side journal comes to, by itself: what its person ruled, noted of full texts, settled and said of the searches. */
export interface SideState {
  rulings: Review['rulings']
  searches: SearchReview | undefined
  person: Person | undefined
  retrievals?: Record<string, Retrieval>
  settlements?: Record<string, Partial<Record<PassName, Settlement>>>
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
 * that parted are both kept, and of what they say the later stands. The outcome is the same in any order, any number of
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
  putTexts(review)
  putSettlements(review)
  putSearchReview(review, side.person, kept)
  putName(review, side.person, kept)
}

const keyOf = (s: SideTaken): string => `${s.person} ${s.digests.at(-1)!}`

/**
 * The last word of one person, of what they said in this journal and in files: they may work in two browsers. Where two words
 * bear the same time and differ, neither wins.
 */
function putRulings(review: Review, person: string, chains: readonly SideTaken[]): void {
  const sorted = [...chains].sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1))
  const names = new Set([
    ...heldNames(review.rulings),
    ...sorted.flatMap(({ state }) => heldNames(state.rulings)),
  ])
  for (const recordId of names)
    for (const pass of ['broad', 'close'] as const) {
      const key = `${pass}/${person}`
      const here = ownOf(held(review.rulings, recordId)?.[key])
      const theirs = sorted.flatMap(({ state }) => held(state.rulings, recordId)?.[key] ?? [])
      const own = held(review.rulings, recordId)
      if (own) delete own[key]
      const all = [...(here ? [here] : []), ...theirs]
      const last = lastOf(all, () => '')
      if (!last) continue
      const differ = all.some((r) => r.at === last.at && r.verdict !== last.verdict)
      const word: Ruling = differ
        ? {
            recordId,
            pass,
            reader: person,
            verdict: 'unsure',
            ...(last.at === undefined ? {} : { at: last.at }),
          }
        : last
      if (word === here) {
        putRuling(review, key, here)
        continue
      }
      const first = all.length > 1 ? firstOf(all) : last.first
      const { first: _, ...plain } = word
      putRuling(review, key, {
        ...plain,
        ...(first && first.at !== word.at ? { first } : {}),
        side: true,
        ...(here ? { under: here } : {}),
      })
    }
  // A record of which nothing is said any more, by anybody, is as if it had never been spoken of.
  for (const [recordId, own] of heldEntries(review.rulings))
    if (!Object.keys(own).length) letGo(review.rulings, recordId)
}

/** Where full texts stand: of what this journal and files say of one, the later. */
function putTexts(review: Review): void {
  const ids = new Set([
    ...Object.keys(review.retrievals ?? {}),
    ...review.sides.flatMap(({ state }) => Object.keys(state.retrievals ?? {})),
  ])
  for (const id of ids) {
    const here = ownOf(review.retrievals?.[id])
    const theirs = review.sides.flatMap(({ state }) => state.retrievals?.[id] ?? [])
    const last = lastOf([...(here ? [here] : []), ...theirs], (r) => r.who ?? '')
    if (!last) delete review.retrievals?.[id]
    else (review.retrievals ??= {})[id] = last === here ? here : fromSide(last, here)
  }
}

/** What was settled: the same. */
function putSettlements(review: Review): void {
  const ids = new Set([
    ...Object.keys(review.settlements ?? {}),
    ...review.sides.flatMap(({ state }) => Object.keys(state.settlements ?? {})),
  ])
  for (const id of ids)
    for (const pass of ['broad', 'close'] as const) {
      const here = ownOf(review.settlements?.[id]?.[pass])
      const theirs = review.sides.flatMap(({ state }) => state.settlements?.[id]?.[pass] ?? [])
      const last = lastOf([...(here ? [here] : []), ...theirs], (s) => s.by)
      if (!last) continue
      const all = (review.settlements ??= {})
      ;(all[id] ??= {})[pass] = last === here ? here : fromSide(last, here)
    }
}

const fromSide = <T extends object>(last: T, here: T | undefined): T => ({
  ...last,
  side: true,
  ...(here ? { under: here } : {}),
})

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

/** What taking a side journal in would change of its person's rulings. */
export interface WhatComes {
  fresh: number
  changed: number
  known: number
  /** Notes on full texts and settlements that will stand and do not yet. */
  texts: number
  settled: number
}

/**
 * How many of a side journal's rulings are new here, how many say something else, and how many are known; and how many notes
 * on full texts and settlements are news.
 */
export function whatComes(
  { rulings, retrievals, settlements }: Pick<Review, 'rulings' | 'retrievals' | 'settlements'>,
  { person, state }: SideTaken,
): WhatComes {
  const news = (here: { at?: string } | undefined, theirs: { at?: string } | undefined): boolean =>
    theirs !== undefined && (!here || (theirs.at ?? '') > (here.at ?? ''))
  const found = {
    fresh: 0,
    changed: 0,
    known: 0,
    texts: Object.entries(state.retrievals ?? {}).filter(([id, r]) => news(retrievals?.[id], r)).length,
    settled: Object.entries(state.settlements ?? {}).reduce(
      (n, [id, own]) =>
        n + (['broad', 'close'] as const).filter((pass) => news(settlements?.[id]?.[pass], own[pass])).length,
      0,
    ),
  }
  for (const [recordId, own] of heldEntries(state.rulings))
    for (const pass of ['broad', 'close'] as const) {
      const key = `${pass}/${person}`
      const ruling = own[key]
      if (!ruling) continue
      const here = held(rulings, recordId)?.[key]
      const words = (r: Ruling): string =>
        JSON.stringify([r.verdict, r.criterionId, r.reason, r.note, r.answers])
      if (!here) found.fresh++
      else if (words(here) === words(ruling) || (here.at ?? '') > (ruling.at ?? '')) found.known++
      else found.changed++
    }
  return found
}
