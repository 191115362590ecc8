export { packReview, type Packed } from './pack'
export { openPackage, type Opened } from './open'
export { inMemory, ofFile, type ByteSource } from './bytes'
export { BOUNDS } from './zip-read'
