export { Profile, readProfile, REACHES, type Reach } from './schema'
export { readDescription } from './description'
export { describedSince, readShelf, saidBy, withDescription } from './shelf'
export type { Direction, Loss } from './loss'
export { adapt, spelled, type PrintOptions } from './adapt'
export { limitAs, limitHonour, limitState, type LimitHonour, type LimitState } from './limits'
export { printFor, type Printed } from './print'
export { collisionsOf, inOrder, readOtherwise, type Collision } from './collisions'
export { write } from './write'
export { readFrom, type ReadTheirs } from './read'
export { readWithLimits, withLimits, writeLimit, type LimitSaid, type ReadWithLimits } from './limit-text'
export { describedProfile, idOf } from './describe'
export {
  BINDINGS,
  DESCRIBED_FIELDS,
  draftOf,
  ROW_JOINS,
  type BindingName,
  type ProfileDraft,
  type RowJoin,
} from './draft'
export {
  FIELD_PATTERNS,
  freshDraft,
  LINE_PATTERNS,
  withFieldPattern,
  withLinePattern,
  type FieldPattern,
  type LinePattern,
} from './patterns'
export { filledByExamples, learn, type Doubt, type Filled, type Learned } from './learn'
