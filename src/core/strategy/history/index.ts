export { readCount, readLineNumber, readWhen } from './cells'
export { recogniseHistory, type History, type HistoryRow } from './recognise'
export { foldLimitLines, limitsInWords, noteOf, readHistory, type PastSearch } from './read-history'
