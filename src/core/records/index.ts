export * from './duplicates'
export {
  blockBytes,
  digestsOf,
  gather,
  gatherPart,
  IN_A_BLOCK,
  LayingOut,
  layOut,
  partAt,
  type BlockDigests,
  type BlockPart,
  type LaidOut,
} from './blocks'
export { Rec, emptyRecord, handedName, toDocument, whereFrom, whoAndWhen } from './record'
export { readRis, type RisRead } from './formats/ris'
export { cslJsonPieces, writeCslJson } from './formats/csl-json'
export { writeRis } from './formats/ris-write'
export { csvText, writeTable } from './formats/table'
export { toCsl, type CslItem } from './formats/csl'
export type { Item, Reader, ReadsTo } from './formats/item'
export type { TagForm, TagShape } from './formats/tagged'
export { openNames, rowsOf, type OpenNames, type TableShape } from './formats/table'
export { nameParts, plainName, type NameParts } from './formats/names'
export {
  formatOfEnding,
  lackOf,
  readAll,
  readerFor,
  recognise,
  WRITERS,
  type Remembered,
  type Shape,
  type WholeRead,
  type Writable,
} from './formats/format'
export {
  FORMATS,
  FORMAT_CONTENTS,
  FORMAT_ENDINGS,
  FORMAT_WORDS,
  RECORD_FILES,
  type FormatId,
} from './formats/files'
export { READER_VERSION } from './formats/versions'
export { commasOf, isBody, readNames, type Commas, type NamesRead } from './names'
export { inferType, oneType, TYPE_WORDS, typeOfWords, withInferred } from './types'
export { FIELDS, fieldOf, putText, textOf, type Field } from './fields'
export {
  ENCODINGS,
  ENCODING_WORDS,
  EncodingGuess,
  oddLines,
  textFromBytes,
  type Encoding,
  type Guess,
} from './decode'
export { kindWords } from './kind-of-file'
export { doiIn, doisIn, orcidCheck, readOrcid } from './identifiers'
export { readReference, type ReferenceParts } from './reference'
export { readPasted, type Pasted, type PastedForm } from './paste'
export { comeAndGone, compareRecords, type ComeAndGone, type Compared } from './compare'
export { findRecord, recordFinder, type Findable, type RecordFinder } from './find'
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
export {
  findableIn,
  layColumns,
  valuesIn,
  WORK_FACETS,
  WORK_ORDERS,
  type ListColumns,
  type ListedWork,
  type WorkFacet,
  type WorkOrder,
} from './list-columns'
export {
  readWords,
  WorkList,
  type AnsweredWorks,
  type AskedWorks,
  type Changing,
  type ChosenWorks,
} from './work-list'
export { facetsShown, type FacetShown } from './facets-shown'
export { followed, type Direction } from './follow'
export { overlapOf, type Overlap, type OverlapSet, type SourceShare } from './overlap'
export { drawOverlap, overlapTable, type DrawingInk } from './overlap-drawing'
export { hintsFor, holdsSession } from './references/hints'
export {
  referenceList,
  STYLES,
  unescaped,
  type Reference,
  type StyleEngine,
  type StyleId,
} from './references/list'
export { changedFields, readAgain, withTypeSet, type ReadAgain } from './read-again'
export { readStyle, type OwnStyle } from './references/own-style'
export { bestRecord, bestValues, type BestValue, type ValueFrom } from './best-values'
export { versionsOfWork } from './versions-of-work'
export { byYear, type ByYear } from './by-year'
