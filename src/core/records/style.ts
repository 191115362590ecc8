// Entered apart from the rest: the processor and its styles are large, and fetched only where references are set.
export { styleEngine } from './references/style-engine'
export type { StyleId } from './references/list'
