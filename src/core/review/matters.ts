import { plainJson, plural } from '../base'
import { limitWords } from '../query'
import type { Command } from './commands'
import { sourceName } from './source-name'
import { LETTERS, type Concept, type Review, type Source } from './values'

/** Something of the plan that another copy of a review has otherwise since the two parted, and that can be taken over alone. */
export interface Matter {
  /** What it is about, for this difference alone. */
  key: string
  about: 'Question' | 'Concepts' | 'Limits' | 'Criteria' | 'Sources' | 'Known items' | 'Terms' | 'Strategies'
  /** What it is there; undefined where it is gone there. */
  there: string | undefined
  /** What it is here; undefined where it is not here. */
  here: string | undefined
  /** It was changed here too since they parted: taking it over undoes that. */
  both: boolean
  /** Concepts and sources that it hangs on, unchanged there and gone here: they come back with it. */
  back: string[]
  /** Matters without which this one would hang in the air, by key. */
  needs: string[]
  commands: Command[]
}

interface Kind<T> {
  about: Matter['about']
  of: (review: Review) => readonly T[]
  words: (value: T, review: Review) => string
  set: (value: T) => Command
  remove: (id: string) => Command
  /** Concepts and sources that it hangs on, by id. */
  on?: (value: T) => (string | undefined)[]
}

const kindOf = <T>(kind: Kind<T>): Kind<{ id: string }> => kind as unknown as Kind<{ id: string }>

const KINDS: readonly Kind<{ id: string }>[] = [
  kindOf<Review['limits'][number]>({
    about: 'Limits',
    of: (r) => r.limits,
    words: (l) => `${limitWords(l.limit)}${l.reason ? `, because ${l.reason}` : ''}`,
    set: (payload) => ({ kind: 'limit.set', payload }),
    remove: (id) => ({ kind: 'limit.remove', payload: { id } }),
  }),
  kindOf<Review['criteria'][number]>({
    about: 'Criteria',
    of: (r) => r.criteria,
    words: (c) => c.text,
    set: (payload) => ({ kind: 'criterion.set', payload }),
    remove: (id) => ({ kind: 'criterion.remove', payload: { id } }),
  }),
  kindOf<Review['sources'][number]>({
    about: 'Sources',
    of: (r) => r.sources,
    words: (s) => `${s.name}${s.why ? `, because ${s.why}` : ''}`,
    set: (payload) => ({ kind: 'source.set', payload }),
    remove: (id) => ({ kind: 'source.remove', payload: { id } }),
  }),
  kindOf<Review['knownItems'][number]>({
    about: 'Known items',
    of: (r) => r.knownItems,
    words: (k) => k.title,
    set: (item) => ({ kind: 'known.add', payload: { items: [item] } }),
    remove: (id) => ({ kind: 'known.remove', payload: { id } }),
  }),
  kindOf<Review['terms'][number]>({
    about: 'Terms',
    of: (r) => r.terms,
    words: (t, r) =>
      `${t.expression}${t.sourceId === 'all' ? '' : ` in ${sourceName(r, t.sourceId)}`}${t.status === 'in use' ? '' : `, ${t.status}`}`,
    set: (payload) => ({ kind: 'term.set', payload }),
    remove: (id) => ({ kind: 'term.remove', payload: { id } }),
    on: (t) => [t.conceptId, t.sourceId === 'all' ? undefined : t.sourceId],
  }),
]

const same = (a: unknown, b: unknown): boolean => plainJson(a) === plainJson(b)
const byId = (list: readonly { id: string }[], id: string): { id: string } | undefined =>
  list.find((v) => v.id === id)
const keyOf = (about: Matter['about'], id: string): string => `${about} ${id}`

/**
 * What another copy changed in its plan since the two parted, matter by matter: what it did not change is no matter, however
 * it reads here now. What was run, found and ruled there is not among them: it happened there.
 */
export function mattersOf(origin: Review, here: Review, there: Review): Matter[] {
  const matters: Matter[] = []
  const letters: Letters = new Map(here.concepts.map((c) => [c.letter, c.id]))
  const changed = <T>(
    about: Matter['about'],
    id: string,
    [was, mine, theirs]: [T | undefined, T | undefined, T | undefined],
    words: (value: T, review: Review) => string,
    commands: () => Command[],
    on: readonly (string | undefined)[] = [],
  ): void => {
    if (same(was, theirs) || same(mine, theirs)) return
    const broughtBack = (key: string): Command[] =>
      matters.some((m) => m.key === key) ? [] : goneHere(key, here, there, letters)
    const said = (value: T | undefined, review: Review): string | undefined =>
      value === undefined ? undefined : words(value, review)
    const needs = on.flatMap((own) =>
      own === undefined ? [] : [keyOf('Concepts', own), keyOf('Sources', own)],
    )
    const both = !same(was, mine)
    // What it hangs on may be gone here, and unchanged there: then it comes back with it.
    const missing = theirs === undefined ? [] : needs.flatMap(broughtBack)
    matters.push({
      key: keyOf(about, id),
      about,
      there: said(theirs, there),
      here: said(mine, here),
      both,
      back: missing.flatMap((c) =>
        c.kind === 'concept.set' || c.kind === 'source.set' ? c.payload.name : [],
      ),
      needs,
      commands: [...missing, ...commands()],
    })
  }
  const text = (value: string): string => value || 'nothing yet'
  changed('Question', 'title', [origin.title, here.title, there.title], text, () => [
    { kind: 'review.rename', payload: { title: there.title } },
  ])
  changed('Question', 'text', [origin.question, here.question, there.question], text, () => [
    { kind: 'question.set', payload: { text: there.question } },
  ])
  for (const id of idsIn(origin.concepts, there.concepts)) {
    const [was, mine, theirs] = [origin, here, there].map((r) => r.concepts.find((c) => c.id === id))
    const commands = (): Command[] =>
      theirs
        ? [{ kind: 'concept.set', payload: withFreeLetter(theirs, letters) }]
        : [{ kind: 'concept.remove', payload: { id } }]
    changed('Concepts', id, [was, mine, theirs], conceptWords, commands)
  }
  for (const kind of KINDS)
    for (const id of idsIn(kind.of(origin), kind.of(there))) {
      const [was, mine, theirs] = [origin, here, there].map((r) => byId(kind.of(r), id))
      const commands = (): Command[] => [
        ...profilesFor(theirs, here, there),
        theirs ? kind.set(theirs) : kind.remove(id),
      ]
      const on = theirs && kind.on ? kind.on(theirs) : []
      changed(kind.about, id, [was, mine, theirs], kind.words, commands, on)
    }
  for (const sourceId of new Set([...Object.keys(origin.strategies), ...Object.keys(there.strategies)])) {
    const lines = there.strategies[sourceId] ?? []
    const commands = (): Command[] => [
      { kind: 'strategy.set', payload: { sourceId, lines, why: 'brought over' } },
    ]
    const on = [sourceId, ...lines.map((l) => l.conceptId)]
    const words = (own: typeof lines, review: Review): string =>
      `${plural(own.length, 'line')} in ${sourceName(review, sourceId)}`
    changed('Strategies', sourceId, threeOf(origin, here, there, sourceId), words, commands, on)
  }
  // A matter needs only what is a matter itself: everything else is here, or comes back with it.
  const keys = new Set(matters.map((m) => m.key))
  return matters.map((m) => ({ ...m, needs: [...new Set(m.needs)].filter((key) => keys.has(key)) }))
}

/** The deed by which a concept or a source that is there and not here stands here; none where it does. */
function goneHere(key: string, here: Review, there: Review, letters: Letters): Command[] {
  const lacks = (list: readonly { id: string }[], about: Matter['about'], id: string): boolean =>
    keyOf(about, id) === key && !byId(list, id)
  const concept = there.concepts.find((c) => lacks(here.concepts, 'Concepts', c.id))
  const source = there.sources.find((s) => lacks(here.sources, 'Sources', s.id))
  return [
    ...(concept ? [{ kind: 'concept.set', payload: withFreeLetter(concept, letters) } as const] : []),
    ...(source
      ? [...profilesFor(source, here, there), { kind: 'source.set', payload: source } as const]
      : []),
  ]
}

/** How the database of a source speaks, where that was described there and is not known here. */
function profilesFor(source: object | undefined, here: Review, there: Review): Command[] {
  const payload = there.profiles.find((p) => p.id === (source as Source | undefined)?.profileId)
  const known = here.profiles.some((p) => p.id === payload?.id)
  return payload && !known ? [{ kind: 'profile.set', payload }] : []
}

const conceptWords = (c: Concept): string =>
  `${c.letter}, ${c.name}, ${c.essential ? 'always asked for' : 'not asked for'}${c.note ? `: ${c.note}` : ''}`

const idsIn = (a: readonly { id: string }[], b: readonly { id: string }[]): string[] => [
  ...new Set([...a, ...b].map((v) => v.id)),
]

type Lines = Review['strategies'][string]
const threeOf = (origin: Review, here: Review, there: Review, id: string): [Lines, Lines, Lines] => {
  const of = (review: Review): Lines => review.strategies[id] ?? []
  return [of(origin), of(here), of(there)]
}

/** Who has each letter here, what is taken over counted in. */
type Letters = Map<Concept['letter'], string>

/** The concept with its letter, or with the next free one where another concept has that; it is taken then. */
function withFreeLetter(concept: Concept, taken: Letters): Concept {
  const free = (letter: Concept['letter']): boolean => (taken.get(letter) ?? concept.id) === concept.id
  const letter = free(concept.letter) ? concept.letter : LETTERS.find(free)
  if (letter === undefined) return concept
  taken.set(letter, concept.id)
  return { ...concept, letter }
}

/** What is needed by these matters, with them: by key. */
export function withNeeds(matters: readonly Matter[], chosen: ReadonlySet<string>): Set<string> {
  const all = new Set(chosen)
  // What is needed needs nothing else: concepts and sources hang on nothing.
  for (const m of matters) if (chosen.has(m.key)) for (const key of m.needs) all.add(key)
  return all
}

/** The deeds by which these matters become here what they are there, in an order in which nothing hangs in the air. */
export const deedsOf = (matters: readonly Matter[], chosen: ReadonlySet<string>): Command[] => {
  const all = withNeeds(matters, chosen)
  return matters.filter((m) => all.has(m.key)).flatMap((m) => m.commands)
}
