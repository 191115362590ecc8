import { listedBySource, listOf } from './by-source'

/** Phrases that a sentence says were asked for word by word, by the name of their database. */
export interface PhrasesApart {
  sources: { name: string; phrases: string[]; more: number }[]
}

export function phrasesSentApart(sentence: string): PhrasesApart | undefined {
  const list = listOf(sentence, 'asked for word by word, not as a phrase', 'Word by word, not as a phrase')
  const sources = list && listedBySource(list)
  return sources ? { sources: sources.map(({ named, ...s }) => ({ ...s, phrases: named })) } : undefined
}
