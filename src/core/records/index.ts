export * from './duplicates'
export { blockBytes, digestsOf, gather, layOut, type BlockDigests } from './blocks'
export { Rec, emptyRecord, toDocument, whereFrom, whoAndWhen } from './record'
export { readRis, type RisRead } from './formats/ris'
export { writeRis } from './formats/ris-write'
export { doiIn, doisIn, orcidCheck, readOrcid } from './identifiers'
export { readReference, type ReferenceParts } from './reference'
export { readPasted, type Pasted, type PastedForm } from './paste'
export { compareRecords, type Compared } from './compare'
export { findRecord, recordFinder, type RecordFinder } from './find'
export {
  countFacets,
  docsWithFacets,
  facetIndex,
  type FacetIndex,
  facetValues,
  RECORD_FACETS,
  type ChosenFacets,
  type FacetCount,
  type FacetTable,
  type RecordFacet,
} from './facets'
