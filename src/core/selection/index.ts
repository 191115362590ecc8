export { passCounts, readersOf, type PassCounts, type RulingLike } from './counts'
