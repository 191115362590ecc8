export { renumberText, toRanges } from './lines/references'
export {
  dependants,
  finalLine,
  finalNumber,
  keyOfRun,
  lineKeys,
  PRESENT_RULE,
  reachedBy,
  type KeyRule,
  type LineLike,
} from './lines/keys'
export {
  draftStrategy,
  termExpression,
  type DraftLine,
  type DraftSource,
  type Plan,
  type PlanTerm,
} from './draft/draft'
export { asSent, runLines, runStrategy, type LineResult, type RunCache, type SearchSource } from './run/run'
export { PRINTER_VERSION } from './run/printer-version'
export { writtenOut } from './run/written-out'
export { habitsOf, searchAsTyped, singular, withoutStopWords, type TypedAnswer } from './run/as-typed'
export * from './words'
export {
  harvestSource,
  rankHarvest,
  type Harvested,
  type HarvestKind,
  type HarvestRecord,
  type SourceHarvest,
} from './judging/harvest'
export { nameForms, namedText, NAMED_FIELDS, type NamedSort } from './lines/named'
export {
  likelyConcept,
  placeTerm,
  planAgainstRun,
  type Unplanned,
  type Unused,
} from './draft/plan-against-run'
export {
  appendLines,
  dependsOn,
  joinText,
  moveLine,
  removeLines,
  renumberLines,
  subtractText,
  withNeeded,
  type EditLine,
} from './lines/edit'
export {
  limitsInForce,
  limitsThatCount,
  limitsToSend,
  limitStanding,
  type LedgerSource,
  type LimitStanding,
} from './limits/ledger'
export { redraft, type OwnLine, type RedraftChange } from './draft/redraft'
export { carryStrategy, type Carried, type CarryTarget } from './draft/carry'
export { conceptsBehind } from './lines/strands'
export {
  checkInSteps,
  checkStrategy,
  alikeRemarks,
  type AlikeRemarks,
  ELEMENTS,
  remarkKey,
  RULES,
  type CheckContext,
  type CheckedLine,
  type Element,
  type Fix as RemarkFix,
  type Remark,
} from './checks'
export {
  knownItemBoard,
  notLosses,
  termYields,
  type BoardItem,
  type NotLoss,
  type TermYield,
} from './judging/judging'
export { causeWords, type MissCause } from './judging/causes'
export { judging, type Judging } from './checks'
export * from './history'
export * from './advisor'
export { occasionsOf, type Occasion, type RunLike } from './run/occasions'
export { lineToSend, type ToSend } from './run/to-send'
export { numbersThere } from './run/numbers-there'
export { chosenLine, countingLine, linesThatCount, runsThatCount } from './counting'
