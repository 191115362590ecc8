export { renumberText, toRanges } from './references'
export { lineKeys, dependants, finalLine, finalNumber, type LineLike } from './keys'
export {
  draftStrategy,
  termExpression,
  type DraftLine,
  type DraftSource,
  type Plan,
  type PlanTerm,
} from './draft'
export { runLines, runStrategy, writtenOut, type LineResult, type RunCache, type SearchSource } from './run'
export { habitsOf, searchAsTyped, singular, withoutStopWords, type TypedAnswer } from './as-typed'
export * from './words'
export {
  harvestSource,
  rankHarvest,
  type Harvested,
  type HarvestKind,
  type HarvestRecord,
  type SourceHarvest,
} from './harvest'
export { nameForms, namedText, NAMED_FIELDS, type NamedSort } from './named'
export { likelyConcept, placeTerm, planAgainstRun, type Unplanned, type Unused } from './plan-against-run'
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
} from './edit'
export { limitsInForce, limitStanding, type LedgerSource, type LimitStanding } from './ledger'
export { redraft, type OwnLine, type RedraftChange } from './redraft'
export { carryStrategy, type Carried, type CarryTarget } from './carry'
export { conceptsBehind } from './strands'
export {
  checkStrategy,
  alikeRemarks,
  type AlikeRemarks,
  ELEMENTS,
  remarkKey,
  RULES,
  type CheckContext,
  type CheckedLine,
  type Element,
  type Remark,
} from './checks'
export {
  knownItemBoard,
  notLosses,
  termYields,
  type BoardItem,
  type JudgedLine,
  type NotLoss,
  type TermYield,
} from './judging'
export * from './history'
export * from './advisor'
export { occasionsOf, type Occasion, type RunLike } from './occasions'
