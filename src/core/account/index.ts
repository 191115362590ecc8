export * from './document'
export { commentsIn, withoutComment, type CommentInText } from './comments'
export {
  FACT_NAMES,
  inlineWords,
  resolveFact,
  type Fact,
  type FactContext,
  type SourceFacts,
  type Stage,
} from './facts'
export { currentRuns, joiningLine } from './runs'
export { dateWords, nameInText, searchedWords } from './words'
export { compose, draftAccount, groupAll, tellingOf, type Telling, type Told } from './draft'
export { toHtml, type FactLink } from './documents/html'
export { latexText, toLatex } from './documents/latex'
export { toMarkdown } from './documents/markdown'
export {
  aboutWords,
  elementWords,
  lookWords,
  outcomeWords,
  VERDICT_WORDS,
  referencedWorks,
  referenceInlines,
  CHECKLISTS,
  checklistTables,
  isOpen,
  notApplicable,
  noticeWords,
  openItems,
  reportingItems,
  recordOfSearches,
  sectionDocument,
  targetsIn,
  type Target,
  STRATEGY_HEAD,
  withWorks,
  type AppendixContext,
  type Referenced,
  type ReportingItem,
} from './appendices'
export { rowOf, TABLE_1_HEAD, table1 } from './documents/table-1'
export {
  blocksOf,
  labelsOf,
  resolved,
  withoutComments,
  wordsOfCell,
  type Block,
  type Cell,
  type DocumentTree,
} from './documents/tree'
export { courseFigures, type CourseFigure } from './course'
export {
  gridCsv,
  termWords,
  worksheet,
  worksheetTree,
  type SheetPart,
  type SheetTable,
  type Worksheet,
} from './documents/grid'
export { allStrategiesText, strategyText } from './documents/strategy-text'
export * from './frozen'
export * from './protocol'
export { ADVICE_RULES, adviceOn, lookAt, sentencesOf, type Advice } from './advice'
export { toldInText, type ToldInText } from './told-in-text'
export { READS } from './reads/en'
export { numbersTold, type NumberTold } from './numbers-told'
export { numbersShown } from './numbers-shown'
export { sentencesIn } from './sentences'
