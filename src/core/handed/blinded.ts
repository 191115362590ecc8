import { digestOf, inBuckets, plainJson } from '../base'
import {
  besideOf,
  emptyReview,
  fold,
  nextEntry,
  plainReview,
  type Command,
  type Entry,
  type Review,
} from '../review'

/** What a blinded package is made for and when; `salt` gives each entry chance of its own. */
export interface Blinding {
  /** ISO 8601 with zone: the day of the whole journal that begins here. */
  at: string
  by: string
  salt: () => string
  /** The asking, by its id, that the receiver is to see. */
  ask?: string | undefined
  /** What people are called is left out too. */
  names?: boolean | undefined
}

/** Parts of the account in which nothing is told of screening and judging. */
const TELLS_OF_SEARCHING = [
  'where',
  'words',
  'planned',
  'searched',
  'question',
  'sources',
  'terms',
  'searches',
]
/** Facets by which a filter asks for rulings, or for groups that may have been made of them. */
const OF_RULINGS = ['ruled', 'group']

/** What becomes of each part of a review: it is handed on, nothing of it is, or what is made of it. A new part must be decided. */
type Parts = {
  [K in keyof Required<Review>]: 'on' | 'not' | ((review: Review, to: Blinding) => Review[K] | undefined)
}

const PARTS: Parts = {
  id: 'on',
  title: 'on',
  question: 'on',
  framework: 'on',
  picks: 'on',
  concepts: 'on',
  alternatives: 'on',
  limits: 'on',
  criteria: 'on',
  sources: 'on',
  knownItems: 'on',
  gaps: 'on',
  leftRemarks: 'on',
  profiles: 'on',
  // Where a term came from names the work, and works are read more closely when they are kept.
  terms: ({ terms }) =>
    terms.map((t) => {
      if (t.origin !== 'harvest' && t.origin !== 'reading') return t
      const { from: _from, ...term } = t
      return term
    }),
  strategies: 'on',
  // Whoever only ruled is not told of.
  people: (review, { by, names }) => {
    const known = new Set([by, ...review.runs.map((r) => r.by), ...Object.keys(review.searchReviews ?? {})])
    const people = review.people.filter((p) => known.has(p.id))
    return names ? people.map(({ id }) => ({ id })) : people
  },
  rounds: 'on',
  runs: 'on',
  decisions: 'on',
  choices: 'on',
  valuesSet: 'on',
  related: 'on',
  groups: 'not',
  filters: ({ filters }) =>
    filters?.filter((f) => !OF_RULINGS.some((facet) => f.chosen?.[facet] ?? f.leftOut?.[facet])),
  exports: 'not',
  counts: 'on',
  readings: 'on',
  lookups: 'on',
  headingsNoted: 'on',
  samePersons: 'not',
  from: 'not',
  sides: () => [],
  rulings: () => inBuckets([]),
  account: ({ account }) => ({
    ...account,
    edited: Object.fromEntries(
      Object.entries(account.edited).filter(([passage]) => TELLS_OF_SEARCHING.includes(passage)),
    ),
  }),
  // What a version was called may say what was found with the one before it.
  criteriaVersions: ({ criteriaVersions }) =>
    criteriaVersions?.map((v, n) => ({ ...v, name: `version ${n + 1}` })),
  orders: 'not',
  asked: ({ asked }, { ask }) => asked?.filter((a) => a.id === ask),
  settlements: 'not',
  retrievals: 'not',
  studies: 'not',
  steps: 'not',
  contacts: ({ contacts }, { names }) => (names ? undefined : contacts),
  quotes: 'not',
  selectionRules: 'on',
  readingPlans: 'on',
  stopRules: 'not',
  // A way that began with works began with those that were kept.
  ways: ({ ways }) => ways?.filter((w) => !w.of),
  protocol: 'on',
  registration: 'on',
  departures: 'not',
  leftAdvice: 'not',
  frozenTexts: 'not',
  textRead: 'not',
  deposits: 'on',
  searchReviews: 'on',
  settledComments: 'on',
  // What lies beside the journal is named by entries of its own.
  imports: () => [],
  partition: 'not',
  vocabularies: () => [],
  attachments: () => [],
  pages: 'not',
}

/** Parts that every review has, also where nothing is in them. */
const EVERY = emptyReview('')

/** The review as a reader is handed it who is not to see what was ruled, nor what was done because of it. */
export function blindedState(review: Review, to: Blinding): Review {
  const kept: Record<string, unknown> = {}
  for (const [name, part] of Object.entries(PARTS) as [keyof Review, Parts[keyof Review]][]) {
    const value = part === 'on' ? review[name] : part === 'not' ? undefined : part(review, to)
    if (value !== undefined && !(Array.isArray(value) && !value.length && !(name in EVERY)))
      kept[name] = value
  }
  return kept as unknown as Review
}
/** What lies beside the journal, named anew: a state names nothing that has to be kept. */
const besideAgain = ({ imports, partition, vocabularies, attachments, pages = [] }: Review): Command[] => [
  ...imports.map((payload): Command => ({ kind: 'records.import', payload })),
  ...(partition ? [{ kind: 'partition.set', payload: partition } as const] : []),
  ...vocabularies.map((payload): Command => ({ kind: 'vocabulary.import', payload })),
  ...attachments.map((payload): Command => ({ kind: 'attachment.add', payload })),
  ...pages.map((payload): Command => ({ kind: 'page.set', payload })),
]

/**
 * A journal that begins with the entry that made the review and with its state without rulings, so that nothing of them, nor
 * how many there were, can be read from what stands before; with the bytes of that state. Undefined where the journal does
 * not begin with that entry.
 */
export async function blindedJournal(
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
  to: Blinding,
): Promise<{ entries: Entry[]; state: { digest: string; bytes: Uint8Array } } | undefined> {
  const [first] = entries
  const head = entries.at(-1)
  if (first?.kind !== 'review.create' || !head) return undefined
  const { review } = fold(entries, await besideOf(entries, bytesAt))
  const bytes = new TextEncoder().encode(plainJson(plainReview(blindedState(review, to))))
  const digest = digestOf(bytes)
  const begun: Entry[] = [first]
  const commands: Command[] = [
    // Its number would tell how much was done: the digest alone says of which journal it came.
    { kind: 'journal.from', payload: { of: { seq: 0, digest: head.digest }, state: digest } },
    ...besideAgain(review),
  ]
  for (const command of commands)
    begun.push(nextEntry(begun.at(-1), command, { at: to.at, by: to.by, salt: to.salt() }))
  return { entries: begun, state: { digest, bytes } }
}
