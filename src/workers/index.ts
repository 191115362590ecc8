import { proxy, type Remote } from 'comlink'
import { fetchAgain, fetchData, tellOfLackingData, type LackingData } from './data/data-door'
import { DEMO } from './data/data-files'
import { Door, type WorkerState } from './door'
import type { JudgeDesk } from './judge-desk'
import type { LongDesk } from './long-desk'
import type { RecordsDesk } from './records/records-desk'
import type { SearchDesk } from './search-desk'
import type { VocabularyDesk } from './vocabulary-desk'
import type { WordDesk } from './word-desk'

export { deskReview } from './records/desk-review'
export { WorkerGone } from './door'
export type { Advised, CountedStep, Offered } from '@/core/strategy'
export { planOf } from './judged-plan'
export type { BoardCause, BoardRow } from './board-row'
export type { Judged, JudgedPlan, Judgement, KeyedRemark } from './judge-desk'
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

/** Whoever wants to know how the workers stand. */
const listeners = new Set<() => void>()
const changed = (): void => listeners.forEach((tell) => tell())

/** In which all searching is done. */
const search = new Door<Desks>(
  'searches',
  () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
  changed,
)
/** For long work. */
const long = new Door<LongDesk>(
  'reads and packs files',
  () => new Worker(new URL('./long.worker.ts', import.meta.url), { type: 'module' }),
  changed,
)
/** It owns the records of the open review. */
const records = new Door<RecordsDesk>(
  'reads records',
  () => new Worker(new URL('./records/records.worker.ts', import.meta.url), { type: 'module' }),
  changed,
)
const DOORS = [search, long, records] as const

export const searchDesk = (): Remote<SearchDesk> => search.desk.search as unknown as Remote<SearchDesk>
export const vocabularyDesk = (): Remote<VocabularyDesk> =>
  search.desk.vocabularies as unknown as Remote<VocabularyDesk>
export const wordDesk = (): Remote<WordDesk> => search.desk.words as unknown as Remote<WordDesk>
export const judgeDesk = (): Remote<JudgeDesk> => search.desk.judge as unknown as Remote<JudgeDesk>
export const longDesk = (): Remote<LongDesk> => long.desk
export const recordsDesk = (): Remote<RecordsDesk> => records.desk

/** Starts the worker that reads records, which a review that is opened waits for: it comes while the page itself does. */
export const startRecords = (): void => {
  // Where it cannot be had, whoever asks something of it is told.
  records.ready().catch(() => undefined)
}

/** The same with the one that opens packages, where one is about to be opened. */
export const startOpening = (): void => {
  startRecords()
  long.ready().catch(() => undefined)
}

/** What the workers do that are late or cannot be had, in words: "reads records". */
export const workersMissing = (): { late: readonly string[]; gone: readonly string[] } => {
  const those = (state: WorkerState): string[] => DOORS.filter((d) => d.state === state).map((d) => d.what)
  return { late: those('late'), gone: those('gone') }
}
let lackingHere: readonly LackingData[] = []
tellOfLackingData((late) => {
  lackingHere = late
  changed()
})
/** The files that the page or a worker waits for, for longer than anybody waits without a word. */
export const lackingData = (): readonly LackingData[] => [
  ...lackingHere,
  ...DOORS.flatMap((d) => d.lackingData),
]
/** Lets go of those and asks for them anew. */
export const askForDataAgain = (): void => {
  fetchAgain()
  for (const door of DOORS) door.askAgain()
}
/** The package of the demo review. Rejects with words for a reader. */
export const fetchDemo = (): Promise<Uint8Array> => fetchData(DEMO)

/** Tells whenever a worker or a file comes, is late or is gone; gives what ends that. */
export function onWorkers(tell: () => void): () => void {
  listeners.add(tell)
  return () => listeners.delete(tell)
}
/** Goes on without those that are late: what they do is done on the page, as far as it can be. */
export const goOnWithout = (): void => DOORS.filter((d) => d.state === 'late').forEach((d) => d.giveUp())
/** Starts those anew that cannot be had; resolves when they are here. */
export const startAgain = async (): Promise<void> => {
  await Promise.all(DOORS.filter((d) => d.state === 'gone').map((d) => d.ready()))
}

/** A function that the worker may call back. */
export const callback = proxy
