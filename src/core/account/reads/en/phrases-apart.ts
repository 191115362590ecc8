import { partsOf } from './number'

/** Phrases that a sentence says were asked for word by word, by the name of their database. */
export interface PhrasesApart {
  sources: { name: string; phrases: string[]; more: number }[]
}

const SMALL = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')

export function phrasesSentApart(sentence: string): PhrasesApart | undefined {
  const plain = /^In (.*) asked for word by word, not as a phrase(.*)\.$/.exec(sentence)
  const list = plain
    ? `in ${plain[1]!.replace(/ (?:was|were)$/, '')}${plain[2]!}`
    : /^Word by word, not as a phrase: (.*)\.$/.exec(sentence)?.[1]
  if (!list) return undefined
  const sources = list.split('; ').map((part) => {
    const m = /^in ([^,]*), (.*)$/.exec(part)
    const all = m ? partsOf(m[2]!) : []
    const last = /^(\w+) more$/.exec(all.at(-1) ?? '')
    const n = last ? SMALL.indexOf(last[1]!) : -1
    return { name: m?.[1] ?? '', phrases: n > 0 ? all.slice(0, -1) : all, more: Math.max(n, 0) }
  })
  return sources.every((s) => s.name && s.phrases.length) ? { sources } : undefined
}
