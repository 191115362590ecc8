export { correctedAnew, type CorrectedRow } from './corrected'
export { dayOrderOf, readCount, readLineNumber, readWhen, type DayOrder } from './cells'
export { recogniseHistory, type History, type HistoryRow } from './recognise'
export { foldLimitLines, limitsInWords, noteOf, readHistory, type PastSearch } from './read-history'
