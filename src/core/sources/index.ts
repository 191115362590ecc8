export type { Registry, SearchedHere } from './registry'
export {
  fileKey,
  hasHeadings,
  inventedIn,
  notedKey,
  sourceInfoIn,
  type SourceInfoOf,
  type SourceVocabulary,
} from './source-info'
export { sourceFactsIn } from './source-facts'
