export * from './document'
export { FACT_NAMES, resolveFact, type Fact, type FactContext, type SourceFacts, type Stage } from './facts'
export { currentRuns, joiningLine } from './runs'
export { dateWords, nameInText, searchedWords } from './words'
export { draftAccount } from './draft'
export { toMarkdown, type FactWords } from './documents/markdown'
export { courseFigures, type CourseFigure } from './course'
export {
  gridCsv,
  termWords,
  worksheet,
  worksheetMarkdown,
  type SheetPart,
  type SheetTable,
  type Worksheet,
} from './documents/grid'
export { allStrategiesText, strategyText } from './documents/strategy-text'
export { selectClaims, type Claim, type ClaimOf, type Claims, type Evidence } from './claims'
