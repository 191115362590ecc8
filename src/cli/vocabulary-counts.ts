import { Thesaurus, type Vocabulary } from '../core/vocabulary'

/** What is in a vocabulary, in numbers. */
export function countVocabulary(vocabulary: Vocabulary): Record<string, number> {
  const { headings } = vocabulary
  const sum = (of: (h: (typeof headings)[number]) => number): number =>
    headings.reduce((n, h) => n + of(h), 0)
  const tops = new Thesaurus(vocabulary).tops().length
  return {
    headings: headings.length,
    topHeadings: tops,
    entryTerms: sum((h) => h.entryTerms.length),
    broaderRelations: sum((h) => h.broader.length),
    relatedPairs: sum((h) => h.related.length) / 2,
    scopeNotes: sum((h) => (h.scopeNote ? 1 : 0)),
    codes: sum((h) => (h.code ? 1 : 0)),
  }
}
