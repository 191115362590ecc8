import { inWords, keptFor, listed, plural, pluralInWords, thousands } from '../base'
import type { Profile } from '../profile'
import { findRecord, recordFinder } from '../records'
import { standingRuns, termsInUse, type Entry, type Line, type Review, type Run, type Work } from '../review'
import { passCounts, readersOf, type PassCounts } from '../selection'
import { finalLine, limitsThatCount } from '../strategy'
import { joinOf } from './joins'
import { currentRuns, joiningLine } from './runs'
import { finalRun, searchedIn, triedAndDropped } from './standing'
import { fieldsInWords, searchedWith, type SearchedWith } from './searched-with'
import { dateWords, someNamed, nameInText, periodWords, searchedWords } from './words'

export type Stage = 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'

/** What is known of a database beside the review: its profile says so. */
export interface SourceFacts {
  /** How it was reached and what it covered, or the release that would be searched; see `releaseWords` for what was. */
  release: string
  /** A release in words, for a source that has releases. */
  releaseWords?: ((release: string) => string) | undefined
  hasVocabulary: boolean
  vocabularyTitle?: string
  /** How it speaks; without it, lines are taken as they are written. */
  profile?: Profile | undefined
}

export interface FactContext {
  review: Review
  works: readonly Work[]
  /** The journal, for what came before what. Without it nothing is said of an order. */
  entries?: readonly Entry[]
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
    text: pluralInWords(c.review.concepts.length, 'concept'),
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
      text: pluralInWords(n, 'database'),
      missing: !n,
      stage: 'question',
      anchor: 'sources',
      from: 'the sources of the plan',
    }
  },
  'databases.searched': (c) => {
    const n = searchedIn(c.review).length
    return {
      text: pluralInWords(n, 'database'),
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
  'known.before': (c) => {
    const n = knownBefore(c).length
    return {
      text: pluralInWords(n, 'known item'),
      missing: !n,
      stage: 'question',
      anchor: 'known',
      from: 'the known items that were there before the first run',
    }
  },
  'known.later': (c) => {
    const n = c.review.knownItems.length - knownBefore(c).length
    return {
      text: inWords(n),
      missing: !n,
      stage: 'question',
      anchor: 'known',
      from: 'the known items that came after the first run',
    }
  },
  'known.found': (c) => {
    const found = knownFound(c)
    return {
      text: inWords(found),
      stage: 'records',
      anchor: 'known',
      from: 'the known items among the records that were brought in',
    }
  },
  'terms.tried': (c) => {
    const n = triedAndDropped(c.review).length
    return { text: inWords(n), missing: !n, stage: 'terms', from: 'dropped terms that were run' }
  },
  'join.text': (c, id) => {
    const join = joinOf(
      c.review.strategies[id] ?? [],
      c.review.concepts.map((k) => k.id),
    )
    return {
      text: join?.kind === 'other' ? join.text : MISSING,
      missing: join?.kind !== 'other',
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the line of ${nameOf(c, id)} that joins the others`,
    }
  },
  'limits.force': (c, id) => {
    const force = limitsThatCount(c.review.strategies[id] ?? [])
    return {
      text: listed(force.map((l) => periodWords(l))) || MISSING,
      missing: !force.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the limits that hold for the last line of ${nameOf(c, id)}`,
    }
  },
  'hits.total': (c) => {
    const runs = searchedIn(c.review).map((s) => finalRun(c.review, s.id))
    const sum = runs.reduce((n, r) => n + (r?.hits ?? 0), 0)
    return {
      text: plural(sum, 'record'),
      missing: !runs.length || runs.some((r) => !r),
      stage: 'searches',
      from: 'the last line of each source, as it was run',
    }
  },
  known: (c) => ({
    text: pluralInWords(c.review.knownItems.length, 'known item'),
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
    const runs = standingRuns(c.review.runs).filter((r) => r.sourceId === id)
    const about = c.source(id)
    const words = about?.releaseWords
      ? searchedByRelease(runs, about.releaseWords)
      : searchedWords(runs.map((r) => r.at.slice(0, 10)))
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
      text: pluralInWords(names.length, 'reader'),
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

/** "on 15 April 2026 (release of March 2026) and on 17 November 2026 (release of September 2026)". */
function searchedByRelease(runs: readonly Run[], words: (release: string) => string): string {
  const releases = [...new Set(runs.map((r) => r.release))]
  const parts = releases.map((release) => {
    const own = runs.filter((r) => r.release === release)
    const days = own.map((r) => r.at.slice(0, 10)).sort()
    return { first: days[0]!, text: `${searchedWords(days)} (${words(release)})` }
  })
  return listed(parts.sort((a, b) => (a.first < b.first ? -1 : 1)).map((p) => p.text))
}

/** Known items that were in the review before the first run: by the time of the run itself, where it was logged later. */
export function knownBefore({ review, entries }: FactContext): string[] {
  if (!entries) return []
  const first = review.runs.map((r) => Date.parse(r.at)).reduce((a, b) => Math.min(a, b), Infinity)
  const since = new Map<string, number>()
  for (const { kind, payload, at } of entries) {
    const ids = kind === 'known.add' ? (payload as { items: { id: string }[] }).items.map((i) => i.id) : []
    for (const id of ids) if (!since.has(id)) since.set(id, Date.parse(at))
  }
  return review.knownItems.filter((k) => (since.get(k.id) ?? Infinity) < first).map((k) => k.id)
}

// The draft asks for it as well as the fact, at each change of the review.
const finderOf = keptFor((works: readonly Work[]) => recordFinder(works.map((w) => w.record)))

/** How many known items are among the works that were brought in, by DOI or title. */
export function knownFound({ review, works }: FactContext): number {
  const finder = finderOf(works)
  return review.knownItems.filter(
    (k) =>
      findRecord(finder, {
        title: k.title,
        ...(k.year === undefined ? {} : { year: k.year }),
        ...(k.doi === undefined ? {} : { doi: k.doi }),
      }) !== undefined,
  ).length
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
