export type { Doing, DoingAt } from './doing'
export { addDescribed, addSources, type SourceChosen } from './question/add-source'
export {
  hasRules,
  importOf,
  partitionOfAll,
  partitionSet,
  partsOf,
  withRules,
  type Bringing,
  type Brought,
  type Slow,
} from './records/bring'
export {
  correctRun,
  logByHand,
  logRuns,
  runOf,
  takeHistory,
  type LoggedByHand,
  type RunMade,
} from './searches/run'
