import { inWords, listed, plural, thousands } from '../base'
import type { Profile } from '../profile'
import { parse, referredLines } from '../query'
import { termsInUse, type Line, type Review, type Run, type Work } from '../review'
import { passCounts, readersOf, type PassCounts } from '../selection'
import { finalLine, lineKeys } from '../strategy'
import { fieldsInWords, searchedWith, type SearchedWith } from './searched-with'
import { dateWords, someNamed, nameInText, periodWords, searchedWords } from './words'

export type Stage = 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'

/** What is known of a database beside the review: its profile says so. */
export interface SourceFacts {
  release: string
  hasVocabulary: boolean
  vocabularyTitle?: string
  /** How it speaks; without it, lines are taken as they are written. */
  profile?: Profile | undefined
}

export interface FactContext {
  review: Review
  works: readonly Work[]
  source: (sourceId: string) => SourceFacts | undefined
}

export interface Fact {
  /** The words as they read now. */
  text: string
  /** Where it comes from. */
  stage: Stage
  /** What to light up there: an id of something on that stage. */
  anchor?: string
  /** Where from, in words. */
  from: string
  /** There is nothing yet to say; `text` tells what is missing. */
  missing: boolean
}

type Reader = (c: FactContext, of: string) => Omit<Fact, 'missing'> & { missing?: boolean }

const MISSING = '…'

// Many facts and the course ask for the same runs; a review is never changed in place, so its answer may be kept.
const runsKept = new WeakMap<Review, Map<string, ReadonlyMap<string, Run>>>()

/** The latest run of each line that still asks what the line asks now. */
export function currentRuns(review: Review, sourceId: string): ReadonlyMap<string, Run> {
  let bySource = runsKept.get(review)
  if (!bySource) runsKept.set(review, (bySource = new Map()))
  let runs = bySource.get(sourceId)
  if (!runs) bySource.set(sourceId, (runs = findRuns(review, sourceId)))
  return runs
}

function findRuns(review: Review, sourceId: string): Map<string, Run> {
  const keys = lineKeys(review.strategies[sourceId] ?? [])
  const runs = new Map<string, Run>()
  for (const run of review.runs)
    if (run.sourceId === sourceId && keys.get(run.lineId) === run.key) runs.set(run.lineId, run)
  return runs
}

/** The line that joins the concepts: the last one without limits that is no single concept's. */
export function joiningLine(lines: readonly Line[]): Line | undefined {
  const final = finalLine(lines)
  let at = final
  // Down from the last line through those that only add a limit.
  for (let guard = 0; at && at.limits.length && guard < lines.length; guard++) {
    const tree = parse(at.text).tree
    const below: number[] = tree ? referredLines(tree) : []
    if (below.length !== 1) break
    at = lines[below[0]! - 1]
  }
  return at
}

/** What a source was asked with by the lines that have been run as they stand. */
export function runWith({ review, source }: FactContext, sourceId: string): SearchedWith {
  const run = currentRuns(review, sourceId)
  const lines = (review.strategies[sourceId] ?? []).map((line, i) => ({ line, number: i + 1 }))
  return searchedWith(
    lines.filter(({ line }) => run.has(line.id)),
    source(sourceId)?.profile,
  )
}

const databases = (c: FactContext): Review['sources'] => c.review.sources.filter((s) => s.kind === 'database')
const counts = (c: FactContext): PassCounts =>
  passCounts(
    c.works.map((w) => w.id),
    c.review.rulings,
    'broad',
  )
const nameOf = (c: FactContext, id: string): string =>
  c.review.sources.find((s) => s.id === id)?.name ?? 'a source'

function hitsOf(
  c: FactContext,
  sourceId: string,
  line: Line | undefined,
): Omit<Fact, 'missing'> & { missing?: boolean } {
  const run = line && currentRuns(c.review, sourceId).get(line.id)
  const from = run
    ? `line ${run.number} of ${nameOf(c, sourceId)}, run on ${dateWords(run.at)}`
    : `a line of ${nameOf(c, sourceId)} that has not been run as it stands`
  return {
    text: run ? thousands(run.hits) : MISSING,
    missing: !run,
    stage: 'searches',
    anchor: line ? `line:${line.id}` : `source:${sourceId}`,
    from,
  }
}

function sourceText(c: FactContext, id: string, key: 'platform' | 'coverage'): ReturnType<Reader> {
  const text = c.review.sources.find((s) => s.id === id)?.[key]
  return {
    text: text || MISSING,
    missing: !text,
    stage: 'question',
    anchor: `source:${id}`,
    from: `what was noted of ${nameOf(c, id)}`,
  }
}

const identified = (c: FactContext): number => c.review.imports.reduce((n, i) => n + i.count, 0)

/** One reader for each kind of fact; `ref` is its name, with what it is about behind a colon. */
const READERS: Record<string, Reader> = {
  question: (c) => ({
    text: c.review.question || MISSING,
    missing: !c.review.question,
    stage: 'question',
    from: 'the question as written',
  }),
  concepts: (c) => ({
    text: `${inWords(c.review.concepts.length)} ${c.review.concepts.length === 1 ? 'concept' : 'concepts'}`,
    missing: !c.review.concepts.length,
    stage: 'question',
    anchor: 'concepts',
    from: 'the concepts under the question',
  }),
  'concept.names': (c) => ({
    text: listed(c.review.concepts.map((k) => nameInText(k.name, c.review.question))) || MISSING,
    missing: !c.review.concepts.length,
    stage: 'question',
    anchor: 'concepts',
    from: 'the names of the concepts',
  }),
  'concept.name': (c, id) => {
    const concept = c.review.concepts.find((k) => k.id === id)
    return {
      text: concept ? nameInText(concept.name, c.review.question) : MISSING,
      missing: !concept,
      stage: 'question',
      anchor: `concept:${id}`,
      from: 'the name of the concept',
    }
  },
  limit: (c, id) => {
    const planned = c.review.limits.find((l) => l.id === id)
    return {
      text: planned ? periodWords(planned.limit) : MISSING,
      missing: !planned,
      stage: 'question',
      anchor: `limit:${id}`,
      from: 'the planned limits',
    }
  },
  databases: (c) => {
    const n = databases(c).length
    return {
      text: `${inWords(n)} ${n === 1 ? 'database' : 'databases'}`,
      missing: !n,
      stage: 'question',
      anchor: 'sources',
      from: 'the sources of the plan',
    }
  },
  'databases.searched': (c) => {
    const n = databases(c).filter((s) => c.review.runs.some((r) => r.sourceId === s.id)).length
    return {
      text: `${inWords(n)} ${n === 1 ? 'database' : 'databases'}`,
      missing: !n,
      stage: 'searches',
      anchor: 'sources',
      from: 'the sources in which something was run',
    }
  },
  'source.name': (c, id) => ({
    text: nameOf(c, id),
    stage: 'question',
    anchor: `source:${id}`,
    from: 'the sources of the plan',
  }),
  'source.platform': (c, id) => sourceText(c, id, 'platform'),
  'source.coverage': (c, id) => sourceText(c, id, 'coverage'),
  known: (c) => ({
    text: plural(c.review.knownItems.length, 'known item'),
    missing: !c.review.knownItems.length,
    stage: 'question',
    anchor: 'known',
    from: 'the known items of the plan',
  }),
  'source.release': (c, id) => {
    const about = c.source(id)
    return {
      text: about?.release ?? MISSING,
      missing: !about,
      stage: 'searches',
      anchor: `source:${id}`,
      from: 'the release that was searched',
    }
  },
  'source.vocabulary': (c, id) => {
    const title = c.source(id)?.vocabularyTitle
    return {
      text: title ?? MISSING,
      missing: !title,
      stage: 'terms',
      anchor: `source:${id}`,
      from: 'the vocabulary of the source',
    }
  },
  'source.searched': (c, id) => {
    const words = searchedWords(c.review.runs.filter((r) => r.sourceId === id).map((r) => r.at.slice(0, 10)))
    return {
      text: words || MISSING,
      missing: !words,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the runs in ${nameOf(c, id)}`,
    }
  },
  'terms.count': (c) => {
    const used = termsInUse(c.review)
    return { text: plural(used.length, 'term'), missing: !used.length, stage: 'terms', from: 'the term grid' }
  },
  'terms.dropped': (c) => {
    const n = c.review.terms.filter((t) => t.status === 'dropped').length
    return { text: inWords(n), missing: !n, stage: 'terms', from: 'the terms dropped in the grid' }
  },
  'terms.names': (c, id) => {
    const names = c.review.terms
      .filter((t) => t.conceptId === id && t.kind === 'named' && t.status === 'in use')
      .map((t) => t.named?.name ?? t.expression)
    return {
      text: listed(names) || MISSING,
      missing: !names.length,
      stage: 'terms',
      anchor: `concept:${id}`,
      from: 'the names in the term grid',
    }
  },
  'gap.about': (c, id) => {
    const gap = c.review.gaps.find((g) => g.id === id)
    return {
      text: gap?.about ?? MISSING,
      missing: !gap,
      stage: 'terms',
      anchor: `concept:${gap?.conceptId ?? ''}`,
      from: 'what a vocabulary was searched for in vain',
    }
  },
  'terms.words': (c, id) => {
    const words = c.review.terms
      .filter((t) => t.conceptId === id && t.kind === 'text' && t.status === 'in use')
      .map((t) => t.expression.replace(/"/g, ''))
    return {
      text: someNamed(words) || MISSING,
      missing: !words.length,
      stage: 'terms',
      anchor: `concept:${id}`,
      from: 'the text words of the term grid',
    }
  },
  'terms.headings': (c, of) => {
    const [conceptId, sourceId] = of.split('/')
    const headings = c.review.terms
      .filter(
        (t) =>
          t.conceptId === conceptId &&
          t.sourceId === sourceId &&
          t.kind === 'heading' &&
          t.status === 'in use',
      )
      .map((t) => t.expression)
    return {
      text: someNamed(headings) || MISSING,
      missing: !headings.length,
      stage: 'terms',
      anchor: `concept:${conceptId}`,
      from: 'the headings of the term grid',
    }
  },
  'words.fields': (c, id) => {
    const words = fieldsInWords(runWith(c, id), c.source(id)?.profile)
    return {
      text: words || MISSING,
      missing: !words,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the fields that the lines of ${nameOf(c, id)} name`,
    }
  },
  'words.leftOut': (c, id) => {
    const { leftOut } = runWith(c, id)
    return {
      text: listed(leftOut, 'or') || MISSING,
      missing: !leftOut.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `what stands behind NOT in the lines of ${nameOf(c, id)}`,
    }
  },
  'hits.joined': (c, id) => hitsOf(c, id, joiningLine(c.review.strategies[id] ?? [])),
  'hits.line': (c, of) => {
    const [sourceId = '', lineId] = of.split('/')
    return hitsOf(
      c,
      sourceId,
      c.review.strategies[sourceId]?.find((l) => l.id === lineId),
    )
  },
  'hits.final': (c, id) => {
    const lines = c.review.strategies[id] ?? []
    return hitsOf(c, id, finalLine(lines))
  },
  'records.from': (c, id) => {
    const n = c.review.imports.filter((i) => i.sourceId === id).reduce((sum, i) => sum + i.count, 0)
    return {
      text: thousands(n),
      missing: !n,
      stage: 'records',
      from: `the records brought in from ${nameOf(c, id)}`,
    }
  },
  'records.identified': (c) => ({
    text: plural(identified(c), 'record'),
    missing: !identified(c),
    stage: 'records',
    from: 'the records brought in',
  }),
  'records.duplicates': (c) => {
    const n = identified(c) - c.works.length
    return { text: plural(n, 'duplicate'), stage: 'records', from: 'records that stand for the same work' }
  },
  works: (c) => ({
    text: plural(c.works.length, 'work'),
    missing: !c.works.length,
    stage: 'records',
    from: 'the works behind the records',
  }),
  readers: (c) => {
    const names = readersOf(c.review.rulings, 'broad')
    return {
      text: `${inWords(names.length)} ${names.length === 1 ? 'reader' : 'readers'}`,
      missing: !names.length,
      stage: 'selection',
      from: 'who has ruled',
    }
  },
  'broad.ruled': (c) => ({
    text: thousands(counts(c).total - counts(c).left),
    stage: 'selection',
    from: 'the rulings of the broad pass',
  }),
  'broad.in': (c) => ({ text: thousands(counts(c).in), stage: 'selection', from: 'works ruled in' }),
  'broad.out': (c) => ({ text: thousands(counts(c).out), stage: 'selection', from: 'works ruled out' }),
  'broad.unsure': (c) => ({ text: thousands(counts(c).unsure), stage: 'selection', from: 'works left open' }),
  'broad.left': (c) => ({
    text: thousands(counts(c).left),
    stage: 'selection',
    from: 'works nobody has ruled',
  }),
}

export const FACT_NAMES: readonly string[] = Object.keys(READERS)

/** The value of a fact as the record has it now. A fact that nobody knows says so in its text. */
export function resolveFact(context: FactContext, ref: string): Fact {
  const colon = ref.indexOf(':')
  const name = colon < 0 ? ref : ref.slice(0, colon)
  const reader = READERS[name]
  if (!reader)
    return { text: `[${ref}?]`, stage: 'methods', from: 'no fact of this name is known', missing: true }
  return { missing: false, ...reader(context, colon < 0 ? '' : ref.slice(colon + 1)) }
}
