export { factsChanged, factsIn, type FactChange } from './facts-changed'
export { freezeText, frozenBytes, GENERATOR, readFrozen, type FrozenDocument } from './frozen-text'
export { sentenceChanges, withDrafted, withSentence, type SentenceChange } from './sentence-changes'
