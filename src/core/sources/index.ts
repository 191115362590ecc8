export type { Registry, SearchedHere } from './registry'
export { fileKey, hasHeadings, inventedIn, sourceInfoIn, type SourceInfoOf } from './source-info'
export { sourceFactsIn } from './source-facts'
