export * from './document'
export {
  currentRuns,
  FACT_NAMES,
  joiningLine,
  resolveFact,
  type Fact,
  type FactContext,
  type SourceFacts,
  type Stage,
} from './facts'
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
