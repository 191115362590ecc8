import { listedBySource, listOf } from './by-source'

/** Words that a sentence says were sent without truncation, by the name of their database. */
export interface Truncation {
  sources: { name: string; words: string[]; more: number }[]
}

export function truncation(sentence: string): Truncation | undefined {
  const list = listOf(sentence, 'sent without truncation', 'Without truncation')
  const sources = list && listedBySource(list)
  return sources ? { sources: sources.map(({ named, ...s }) => ({ ...s, words: named })) } : undefined
}
