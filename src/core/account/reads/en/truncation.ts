import { partsOf } from './number'

/** Words that a sentence says were sent without truncation, by the name of their database. */
export interface Truncation {
  sources: { name: string; words: string[]; more: number }[]
}

const SMALL = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')

export function truncation(sentence: string): Truncation | undefined {
  const plain = /^In (.*) sent without truncation(.*)\.$/.exec(sentence)
  const list = plain
    ? `in ${plain[1]!.replace(/ (?:was|were)$/, '')}${plain[2]!}`
    : /^Without truncation: (.*)\.$/.exec(sentence)?.[1]
  if (!list) return undefined
  const sources = list.split('; ').map((part) => {
    const m = /^in ([^,]*), (.*)$/.exec(part)
    const all = m ? partsOf(m[2]!) : []
    const more = /^(\w+) more$/.exec(all.at(-1) ?? '')
    const n = more ? SMALL.indexOf(more[1]!) : -1
    return { name: m?.[1] ?? '', words: n > 0 ? all.slice(0, -1) : all, more: Math.max(n, 0) }
  })
  return sources.every((s) => s.name && s.words.length) ? { sources } : undefined
}
