export { Rec, emptyRecord, toDocument, whereFrom, whoAndWhen } from './record'
export { readRis, type RisRead } from './formats/ris'
export { writeRis } from './formats/ris-write'
