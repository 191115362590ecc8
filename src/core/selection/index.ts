export { passAfter, passCounts, readersOf, type PassCounts, type RulingLike } from './counts'
