export * from './document'
export * from './docset'
export { buildIndex, Builder } from './index-build'
export { Index, type IndexParts } from './index-read'
export { evaluate, type EvaluateOptions, type Evaluated } from './evaluate'
export { applyLimits, limitTest } from './limits'
export { Scanned, type Hit, type ScanOptions } from './scan'
export { wordsInContext, type InContext } from './context'
export { wordForms, mergeForms, type WordForm } from './forms'
export {
  logLikelihood,
  overRepresented,
  lift,
  CHANCE_ONE_IN_TWENTY,
  CHANCE_ONE_IN_A_THOUSAND,
} from './keyness'
export { relevance } from './relevance'
