export type { Registry, SearchedHere } from './registry'
export { fileKey, inventedIn, sourceInfoIn, type SourceInfoOf } from './source-info'
export { sourceFactsIn } from './source-facts'
