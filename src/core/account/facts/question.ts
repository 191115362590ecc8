import { inWords, listed, pluralInWords } from '../../base'
import { searchedIn } from '../../figures'
import type { Review } from '../../review'
import { nameInText, periodWords } from '../words'
import { MISSING, nameOf, type FactContext, type Reader } from './fact'
import { knownBefore } from './known-items'

const databases = (c: FactContext): Review['sources'] => c.review.sources.filter((s) => s.kind === 'database')
function sourceText(
  c: FactContext,
  id: string,
  key: 'platform' | 'coverage' | 'together',
): ReturnType<Reader> {
  const noted = c.review.sources.find((s) => s.id === id)?.[key]
  // What nobody noted is taken from its description.
  const text = noted || (key === 'together' ? undefined : c.source(id)?.profile?.[key])
  return {
    text: text || MISSING,
    missing: !text,
    stage: 'question',
    anchor: `source:${id}`,
    from: `what was noted of ${nameOf(c, id)}`,
  }
}

/** Facts of the plan: the question, its concepts, limits, sources and known items. */
export const QUESTION = {
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
  'databases.indexed': (c) => {
    const searched = searchedIn(c.review)
    const n = (searched.length ? searched : databases(c)).filter((s) => c.source(s.id)?.hasVocabulary).length
    return {
      text: inWords(n),
      missing: !n,
      stage: 'question',
      anchor: 'sources',
      from: 'the databases with a thesaurus',
    }
  },
  'source.short': (c, id) => ({
    text: c.source(id)?.short || nameOf(c, id),
    stage: 'question',
    anchor: `source:${id}`,
    from: 'the sources of the plan',
  }),
  'source.name': (c, id) => ({
    text: nameOf(c, id),
    stage: 'question',
    anchor: `source:${id}`,
    from: 'the sources of the plan',
  }),
  'source.platform': (c, id) => sourceText(c, id, 'platform'),
  'source.together': (c, id) => sourceText(c, id, 'together'),
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
  known: (c) => ({
    text: pluralInWords(c.review.knownItems.length, 'known item'),
    missing: !c.review.knownItems.length,
    stage: 'question',
    anchor: 'known',
    from: 'the known items of the plan',
  }),
} satisfies Record<string, Reader>
