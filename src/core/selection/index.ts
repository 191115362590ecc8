export { readersOf, type PassCounts, type RulingLike } from './counts'
export {
  DIFFER,
  reasonOf,
  rulesOf,
  seenDifferently,
  standingOf,
  type OwnRulings,
  type RulingRules,
  type Standing,
} from './standing'
export {
  readAgainst,
  readKey,
  readRows,
  type AskedThese,
  type ReadAgainst,
  type ReadCounts,
  type ReadRow,
} from './read-by'
export {
  isHad,
  NOTICE,
  ON_FULL_TEXT,
  PASSED,
  placeOf,
  PLACES,
  SCREENED,
  type Place,
  type Placed,
  type SaidOfWork,
} from './place'
export {
  COLUMNS,
  faultsOf,
  flowOf,
  undecided,
  type ColumnName,
  type Flow,
  type FlowColumn,
  type FlowRound,
  type Identified,
  type Reason,
  type TallyRow,
} from './flow'
export {
  agreementOf,
  fleissOf,
  SAID,
  SAID_WORDS,
  tableOf,
  type Agreement,
  type AgreementOfAll,
  type SaidOf,
} from './agreement'
export { kappaInterval, kappaOf, Z95 } from './kappa'
export {
  agreementAmong,
  agreementsIn,
  togetherOf,
  type PassAgreement,
  type ReaderPair,
  type ReadTogether,
} from './together'
export {
  chapman,
  chapmanWarnings,
  numberNeededToRead,
  stoppingCurve,
  type Estimate,
  type StoppingPoint,
} from './estimates'
export {
  chanceOrder,
  expectedLeft,
  fitLikely,
  layTerms,
  likelyFirst,
  OFFERED_FROM,
  areaInterval,
  surenessOf,
  type Sureness,
  type Labels,
  type TermRows,
} from './likely'
export {
  boxesOf,
  drawFlow,
  flowParts,
  flowText,
  includedWords,
  openMatters,
  type FlowBox,
  type FlowPart,
  type FlowWords,
} from './flow-drawing'
export { nextToRule } from './next-to-rule'
export { LOAN_DAYS, mostPressing, workingDaysAfter } from './due'
export { reasonWords } from './reason-words'
export { flowWords } from './flow-words'
export { askedBy, asksAgain, toAskAgain, touchedByChange, type AskedBy } from './asks-again'
export { reasonsOffered, shortReason, type ReasonOffered } from './reasons-given'
export { settledIn, toSettleIn, type ToSettle } from './to-settle'
export { agreementOfAllWords, agreementWords } from './agreement-words'
export { gaveNothing, WAY_PARTS, wayWords, wrongInWay, type WayPart } from './way-words'
export { askedDone, readersOfWork, readingDone, readingWords, type ReadingDone } from './owed'
export { ownCounts, readingCopy, worksAsked, type ReadingCopy } from './reading-copy'
