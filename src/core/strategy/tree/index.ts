export { SearchTree, type TreeLine, type TreeSource } from './search-tree'
export { choicesOf, demandsOf, leavesOf, partsWithin, saidBy, unlimited, type Part } from './part'
export { ConceptEvidence } from './evidence'
