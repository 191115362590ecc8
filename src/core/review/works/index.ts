export { chosenFor, worksOf, type ClassesAt, type Work, type Works } from './works'
export {
  rulingsByWork,
  ruledBefore,
  workOf,
  type Ruled,
  type RulingsByWork,
  type WorkRuling,
} from './rulings'
export { importsToRead, worksMadeFrom, type RecordsOf } from './records-of'
export { partitionOf, type Kept, type StoredPartition } from './stored-partition'
export { citationsOf, type Citations } from './citations'
