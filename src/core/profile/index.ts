export { Profile, readProfile } from './schema'
export type { Direction, Loss } from './loss'
export { adapt, type PrintOptions } from './adapt'
export { limitAs, limitHonour, limitState, type LimitHonour, type LimitState } from './limits'
export { printFor, type Printed } from './print'
export { write } from './write'
export { readFrom, type ReadTheirs } from './read'
export {
  readWithLimits,
  withLimits,
  writeLimit,
  type LimitSaid,
  type ReadWithLimits,
} from './limit-text'
