export {
  entryDigest,
  FIRST_DIGEST,
  isWithheld,
  nextEntry,
  ofFirstForm,
  payloadDigestOf,
  readEntryShape,
  withheld,
  type Entry,
  type Writing,
} from './entry'
export { migrate, SCHEMA_VERSION, SECOND_FORM } from './migrations'
export { blobsOf, commandOf } from './read-entry'
export { newerProblem, writtenByNewer } from './newer'
export { verifyInSteps, verifyJournal } from './chain'
export { Deeds, undoable } from './deeds'
export {
  fold,
  foldFrom,
  foldInSteps,
  snapshotOf,
  snapshotToKeep,
  type Beside,
  type Folded,
  type Snapshot,
} from './fold'
export { wrongInSnapshot } from './check-snapshot'
export { beginsFromState, besideOf, readsBeside } from './beside'
export { momentsOfRuns } from './moments'
export { oddClocks } from './odd-clocks'
export { ownSide } from './own-side'
export {
  foldSide,
  readSide,
  sideBytes,
  sideEntry,
  sidesIn,
  takenFrom,
  type Origin,
  type SideJournal,
} from './side'
export { goingOver, isToGoOver, withoutNames, type GoingOver } from './going-over'
export { relate, type Relation } from './relation'
