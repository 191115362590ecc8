export { chosenFor, shownOf, worksOf, type ClassesAt, type Work, type WorkRead, type Works } from './works'
export { packWorks, unpackWorks, type PackedWorks } from './packed'
export {
  rulingsAfter,
  rulingsByWork,
  rulingsInSteps,
  ruledBefore,
  workOf,
  worksInGroup,
  type Ruled,
  type RulingsByWork,
  type WorkRuling,
} from './rulings'
export { importsToRead, worksMadeFrom, type NamedRecord, type RecordsOf } from './records-of'
export { knownAmong } from './known-among'
export { partitionOf, type Kept, type StoredPartition } from './stored-partition'
export { citationsOf, type Citations } from './citations'
