export { chooseValue, sayPair } from './records/settle-pair'
export { toBring, type ToBring } from './records/bring-all'
export { putInGroup } from './records/group'
export { dropFilter, keepFilter } from './records/keep-filter'
export { logExport } from './records/log-export'
export { takeRecordApart } from './records/take-apart'
export { typesSet } from './records/types-set'
export { answeredWords, finishSearchReview } from './methods/finish-search-review'
export { deposit } from './methods/deposit'
export { editPassage } from './methods/edit-passage'
export { settleSearchPoint, takeProposal } from './methods/settle-search-point'
export type { Doing, DoingAt } from './doing'
export { takePhrase, type PhraseTaken } from './question/take-phrase'
export { freeLetter, lettersToOffer, ownerOf, pickAround, weaving } from './question/weave'
export { addHeadingSeen, logLookUp, type HeadingSeen } from './question/note-heading'
export { keepDescription, leaveUndescribed, linesOtherwise, type SentOtherwise } from './question/describe'
export { UNNAMED } from './question/unnamed'
export {
  beginConcept,
  chooseFramework,
  chooseRole,
  dropConcept,
  putIntoConcept,
  takeOutOfConcepts,
  turnAlternative,
  turnEssential,
} from './question/concepts'
export {
  addKnown,
  addUnnamed,
  askCriterion,
  chooseRelease,
  dropCriterion,
  dropKnown,
  dropLimit,
  isKnown,
  nameKnown,
  planLimit,
  planReminder,
  turnPass,
  turnSense,
} from './question/planned'
export {
  dropGap,
  dropTerm,
  dropVocabulary,
  takeVocabulary,
  moveTerm,
  noteGap,
  putIntoLines,
  putTerms,
  sameTerm,
  sayHeading,
  takeTermBack,
  type FreshTerm,
} from './terms/terms'
export {
  answerElement,
  chooseTelling,
  chooseVoice,
  dropOwnWords,
  freezeSection,
  leaveAdvice,
  sayRead,
  takeAdviceUp,
  takePointBack,
} from './methods/section'
export { addDrafts, addLine, putLine, takeLinesOut } from './searches/lines'
export {
  addComment,
  chooseLatest,
  dropEmptyLine,
  dropEvidence,
  keepEvidence,
  putElsewhere,
  putStrategy,
  sayTakenOver,
  takeMatters,
  takeRemarkUp,
} from './searches/strategy'
export { amendProtocol, freezePlan, noteRegistration, sayWhyDeparted } from './methods/protocol'
export { addDescribed, addSources, takeSourceOut, type SourceChosen } from './question/add-source'
export {
  hasRules,
  importOf,
  partitionOfAll,
  partitionSet,
  partsOf,
  tellApartAnew,
  withRules,
  type Bringing,
  type Brought,
  type Slow,
} from './records/bring'
export { leaveRemarks, takeFixes } from './searches/mend'
export { chooseCounts, countsProposed, type CountsProposed } from './searches/counts'
export { logAgain, ranBefore, type Again, type RanBefore } from './searches/again'
export { logBefore } from './searches/before'
export { sheetsStand, type SheetsStand } from './searches/sheets'
export { peekedTerms, peekedWith, peekedWithout, type LineAsked } from './searches/peeked'
export { runSheet, type RunSheetLine } from './searches/run-sheet'
export { putReadingRight, runReadOtherwise, writtenOtherwise } from './searches/reading'
export {
  correctRun,
  logByHand,
  logRuns,
  runOf,
  takeHistory,
  type LoggedByHand,
  type RunMade,
} from './searches/run'
export { exportHere, type ExportHere } from './searches/export-here'
export { pastTaken, type Past } from './searches/past'
export {
  addContact,
  addPage,
  dayContact,
  dayPage,
  dropContact,
  dropPage,
  dropQuote,
  keepPage,
  keepQuote,
  logWay,
  noteStep,
} from './selection/note'
export {
  askToRead,
  beginning,
  bindStudy,
  chooseOrder,
  chooseRule,
  drawSample,
  nameCriteria,
  partStudy,
  planReading,
  sayOnePerson,
} from './selection/plan'
export { keepText, retrieve } from './selection/retrieve'
export { asksWhereHad, notRuledBy, outBy, ruleMany, ruleWork, type RulingMade } from './selection/rule'
export { settle, SETTLED_AFTER } from './selection/settle'
export { noticedTitle, sayNotice } from './records/relate'
export {
  beginWalk,
  goOn,
  isStopDone,
  readWalk,
  stopOf,
  STOPS,
  type Stop,
  type StopId,
  type Walk,
} from './walk'
