import { z } from 'zod'
import { Gap, Term, VocabularyFile } from '../values'
import { atStage, kind, PLAIN, put, removes, said, sets } from './kind'

export const TERM_KINDS = {
  'gap.set': kind({
    ...PLAIN,
    schema: Gap,
    apply: (r, p) => put(r.gaps, p),
    place: (p) => atStage('terms', `concept:${p.conceptId}`),
    words: said('noted that a vocabulary has nothing for this'),
  }),
  'gap.remove': removes((r) => r.gaps, atStage('terms'), 'note on a vocabulary taken back'),
  'vocabulary.import': kind({
    ...PLAIN,
    schema: VocabularyFile,
    apply: (r, p) => {
      // A source has one vocabulary; a newer file takes the place of the older.
      r.vocabularies = r.vocabularies.filter((v) => v.sourceId !== p.sourceId)
      r.vocabularies.push(p)
    },
    blobs: (p) => [p.digest],
    place: (p) => atStage('terms', `source:${p.sourceId}`),
    words: said('vocabulary read from a file'),
  }),
  'vocabulary.remove': removes((r) => r.vocabularies, atStage('terms'), 'vocabulary taken out'),
  'terms.set': kind({
    ...PLAIN,
    schema: z.object({ terms: z.array(Term).min(1) }),
    apply: (r, p) => p.terms.forEach((term) => put(r.terms, term)),
    place: (p) => atStage('terms', `concept:${p.terms[0]!.conceptId}`),
    words: said('several terms set'),
  }),
  'term.set': sets(
    Term,
    (r) => r.terms,
    (p) => atStage('terms', `concept:${p.conceptId}`),
    'term set',
  ),
  'term.remove': removes((r) => r.terms, atStage('terms'), 'term removed'),
}
