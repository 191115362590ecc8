export { renumberText, toRanges } from './references'
export { lineKeys, dependants, type LineLike } from './keys'
export { draftStrategy, expand, termExpression, type DraftLine, type Plan } from './draft'
export { runStrategy, type LineResult, type SearchSource } from './run'
