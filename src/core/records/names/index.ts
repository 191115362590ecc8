export { isBody } from './body'
export { readName } from './person'
export { commasOf, readNames, type Commas, type NamesRead } from './list'
