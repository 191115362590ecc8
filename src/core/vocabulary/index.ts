export type { Heading, Vocabulary } from './heading'
export { Thesaurus, type LookUp, type MatchKind } from './thesaurus'
export { readSkos } from './skos'
export { readSkosJsonLd } from './json-ld'
export { candidates, isLikely, isStrong, type Candidate, type MatchReason, type Together } from './match'
export { writeSkos } from './skos-write'
export { readOutline } from './outline'
export { readSkosXml } from './rdf-xml'
export { readTermList } from './term-list'
export {
  ideasIn,
  phrasesIn,
  suggestFromQuestion,
  type QuestionPhrase,
  type QuestionSuggestion,
} from './suggest'
export { readVocabulary, type VocabularyFormat } from './read-vocabulary'
export { readHeadingPage, type HeadingPage } from './heading-page'
export { listOfNoted } from './noted'
