import { partsOf } from './number'

/** What is listed for a database, as far as it is named, and how many more there are. */
export interface ListedOf {
  name: string
  named: string[]
  more: number
}

const SMALL = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** "in Fen, a and b; in Mere, c and two more" taken apart; undefined where it is no such list. */
export function listedBySource(list: string): ListedOf[] | undefined {
  const sources = list.split('; ').map((part): ListedOf => {
    const m = /^in ([^,]*), (.*)$/.exec(part)
    const all = m ? partsOf(m[2]!) : []
    const last = /^(\w+) more$/.exec(all.at(-1) ?? '')
    const n = last ? SMALL.indexOf(last[1]!) : -1
    return { name: m?.[1] ?? '', named: n > 0 ? all.slice(0, -1) : all, more: Math.max(n, 0) }
  })
  return sources.every((s) => s.name && s.named.length) ? sources : undefined
}

/** The list of a sentence that says something of what follows `in`, or that begins with it: see the two patterns. */
export function listOf(sentence: string, said: string, short: string): string | undefined {
  const plain = new RegExp(`^In (.*) ${said}(.*)\\.$`).exec(sentence)
  return plain
    ? `in ${plain[1]!.replace(/ (?:was|were)$/, '')}${plain[2]!}`
    : new RegExp(`^${short}: (.*)\\.$`).exec(sentence)?.[1]
}
