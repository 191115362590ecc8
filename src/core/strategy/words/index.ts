export { adviseStem, judgeForms, type Form, type JudgedForm, type StemAdvice } from './stem-advice'
export { spellingPairs, variantsOf, type SpellingPairs, type Variant, type VariantKind } from './variants'
export { Lexicon, lexiconText, type Sense } from './lexicon'
export { togetherOf, type Together } from './together'
