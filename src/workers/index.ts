import { proxy, wrap, type Remote } from 'comlink'
import type { JudgeDesk } from './judge-desk'
import type { LongDesk } from './long-desk'
import type { RecordsDesk } from './records/records-desk'
import type { SearchDesk } from './search-desk'
import type { VocabularyDesk } from './vocabulary-desk'
import type { WordDesk } from './word-desk'

export { deskReview } from './records/desk-review'
export { fetchBytes } from './fetch-bytes'
export type { Advised, CountedStep, Offered } from '@/core/strategy'
export type { BoardRow, Judged, JudgedPlan, Judgement, KeyedRemark } from './judge-desk'
export type { ComparedHere } from './compare-here'
export type { HandedAs } from './pack-here'
export type { FileExamined, FileHow, FileSaid, FileTaken } from './read-file'
export type { DeskReview, PairView, RecordOf, WorkRow, WorksAnswer, WorkView } from './records/records-desk'
export type { LimitCosts, LineAnswer, Peek, PeekOrder, Said } from './search-desk'
export type {
  Counted,
  Examined,
  Match,
  Neighbourhood,
  Offer,
  SuggestedHeading,
  Suggestion,
  TreeRow,
} from './vocabulary-desk'
export type { ConceptTerms, HarvestOffer, Weighed, WeighedSense, Weight, WordReport } from './word-desk'

interface Desks {
  search: SearchDesk
  vocabularies: VocabularyDesk
  words: WordDesk
  judge: JudgeDesk
}

let desks: Remote<Desks> | undefined

/** The worker in which all searching is done; started when it is first asked. */
function worker(): Remote<Desks> {
  desks ??= wrap<Desks>(new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }))
  return desks
}

export const searchDesk = (): Remote<SearchDesk> => worker().search as unknown as Remote<SearchDesk>
export const vocabularyDesk = (): Remote<VocabularyDesk> =>
  worker().vocabularies as unknown as Remote<VocabularyDesk>
export const wordDesk = (): Remote<WordDesk> => worker().words as unknown as Remote<WordDesk>
export const judgeDesk = (): Remote<JudgeDesk> => worker().judge as unknown as Remote<JudgeDesk>

let long: Remote<LongDesk> | undefined

/** The worker for long work; started when it is first asked. */
export const longDesk = (): Remote<LongDesk> =>
  (long ??= wrap<LongDesk>(new Worker(new URL('./long.worker.ts', import.meta.url), { type: 'module' })))

let records: Remote<RecordsDesk> | undefined

/** The worker that owns the records of the open review; started when it is first asked. */
export const recordsDesk = (): Remote<RecordsDesk> =>
  (records ??= wrap<RecordsDesk>(
    new Worker(new URL('./records/records.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** A function that the worker may call back. */
export const callback = proxy
