import { keptFor } from '../../base'
import type { FactContext } from '../facts'
import { children, parse, type Expr } from '../../query'
import type { Line } from '../../review'
import { joinOf } from '../joins'
import { currentRuns, joiningLine } from '../runs'
import { fieldsInWords } from '../searched-with'
import { conceptsWith, narrowerTaken, runWith, searchedIn } from '../standing'
import { saying } from './saying'

/** What joins the words of each concept: nothing but OR; nothing, for each has one word or heading; or something else too. */
export type Within = 'or' | 'nothing' | 'otherwise'

/** What the lines of a database were made of, and how they were joined. */
export interface AskedWith {
  sourceIds: string[]
  headings: boolean
  narrower: 'all' | 'some' | 'none' | undefined
  headingConcepts: string[]
  codes: boolean
  words: boolean
  wordConcepts: string[]
  asked: string[]
  fields: string
  /** Lines of concepts joined with AND, by groups of alternatives; or otherwise, as they are written. */
  join: { groups: string[][]; within: Within } | 'other' | undefined
}

const PLACE = { theme: 'words', phase: 'searched', stage: 'searches' } as const

/** Databases of which a line was run as it stands. */
export const ranIn = keptFor(({ review }: FactContext): string[] =>
  review.sources.flatMap((s) =>
    s.kind === 'database' && currentRuns(review, s.id).size && (review.strategies[s.id] ?? []).length
      ? [s.id]
      : [],
  ),
)

const leaves = (e: Expr): number => {
  const within = children(e)
  return within.length ? within.reduce((n, part) => n + leaves(part), 0) : Number(!/^lines?$/.test(e.kind))
}

/** What joins what stands in the lines of these concepts. What a NOT leaves out is told apart. */
function within(lines: readonly Line[], concepts: readonly string[]): Within {
  const or = (e: Expr): boolean => {
    if (e.kind === 'and' || (e.kind === 'lines' && e.mode === 'all')) return false
    return e.kind === 'not' ? or(e.parts[0]!) : children(e).every(or)
  }
  const of = concepts.map((id) =>
    lines.flatMap((l) => (l.conceptId === id ? (parse(l.text).tree ?? []) : [])),
  )
  if (!of.flat().every(or)) return 'otherwise'
  return of.every((own) => own.reduce((n, tree) => n + leaves(tree), 0) === 1) ? 'nothing' : 'or'
}

/** How the lines were joined, read from what they say. */
function joinWith({ review }: FactContext, id: string): AskedWith['join'] {
  const lines = review.strategies[id] ?? []
  const joining = joiningLine(lines)
  // What was set and not run is no deed.
  if (!joining || !currentRuns(review, id).has(joining.id)) return undefined
  const join = joinOf(
    lines,
    review.concepts.map((k) => k.id),
  )
  return join?.kind === 'blocks'
    ? {
        groups: join.groups,
        within: within(
          lines.filter((l) => l !== joining),
          join.groups.flat(),
        ),
      }
    : join && 'other'
}

/** Undefined: its lines have no words, headings or codes. */
function askedIn(c: FactContext, id: string): Omit<AskedWith, 'sourceIds'> | undefined {
  const ran = runWith(c, id)
  const { headings, codes } = ran
  const words = ran.fields.length > 0
  if (!headings && !codes && !words) return undefined
  const of = conceptsWith(c.review, id)
  return {
    headings,
    narrower: narrowerTaken(c.review, id),
    headingConcepts: of.headings,
    codes,
    words,
    wordConcepts: of.words,
    asked: of.asked,
    fields: fieldsInWords(ran, c.source(id)?.profile),
    join: joinWith(c, id),
  }
}

/** Databases that were asked alike, most first. */
const ways = keptFor((c: FactContext): AskedWith[] => {
  const groups = new Map<string, AskedWith>()
  for (const id of ranIn(c)) {
    const own = askedIn(c, id)
    if (!own) continue
    const key = JSON.stringify(own)
    const group = groups.get(key)
    if (group) group.sourceIds.push(id)
    else groups.set(key, { sourceIds: [id], ...own })
  }
  return [...groups.values()].sort((a, b) => b.sourceIds.length - a.sourceIds.length)
})

/** How most databases were asked: of what lines were made, and how they were joined. */
export const askedWith = saying<{ way: AskedWith; all: boolean; sourceIds: string[] }>({
  family: 'how most were asked',
  groups: (c) => (ways(c).length ? [''] : []),
  place: PLACE,
  core: true,
  finds: {
    when: {},
    found: (c) => {
      const all = ways(c)
      const searched = searchedIn(c.review).length
      const way = all[0]!
      return { way, all: way.sourceIds.length === searched, sourceIds: way.sourceIds }
    },
  },
})

/** How others were asked, as exceptions to the rule. */
export const askedOtherwise = saying<{ rule: AskedWith; ways: AskedWith[]; sourceIds: string[] }>({
  family: 'how others were asked',
  groups: (c) => (ways(c).length > 1 ? [''] : []),
  place: PLACE,
  finds: {
    when: {},
    found: (c) => {
      const [rule, ...others] = ways(c)
      return { rule: rule!, ways: others, sourceIds: others.flatMap((w) => w.sourceIds) }
    },
  },
})
