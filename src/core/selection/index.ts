export { readersOf, type PassCounts, type RulingLike } from './counts'
export { reasonOf, standingOf, type OwnRulings, type Standing } from './standing'
export { placeOf, PLACES, type Place, type Placed, type SaidOfWork } from './place'
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
export { agreementOf, SAID, tableOf, Z95, type Agreement } from './agreement'
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
export { agreementsIn, type ReaderPair } from './readers'
export { reasonWords } from './reason-words'
export { flowWords } from './flow-words'
