import type { Print } from './print'

/** A key that so many records share says nothing: pairs behind it are found by others, or not at all. */
const MOST = 120

/** The keys under which a record is compared with others; two that are one work share at least one, nearly always. */
export function blockKeys(p: Print): string[] {
  const keys: string[] = []
  if (p.doi) keys.push(`d ${p.doi}`)
  const words = p.main.length >= 3 ? p.main : p.title
  if (words.length) {
    keys.push(`t ${words.slice(0, 4).join(' ')}`)
    if (words.length > 4) keys.push(`u ${words.slice(1, 5).join(' ')}`, `v ${words.slice(-3).join(' ')}`)
    // Words in the order of the alphabet, so that one that is missing or misspelt leaves another key.
    const long = [...new Set(words.filter((w) => w.length > 5))].sort()
    keys.push(`w ${long.slice(0, 3).join(' ')}`, `x ${long.slice(-3).join(' ')}`)
  }
  const first = p.families[0]?.slice(0, 5)
  if (first && p.year !== undefined) {
    if (p.page) keys.push(`p ${first} ${p.page}`)
    if (p.volume) keys.push(`a ${first} ${p.volume} ${p.issue ?? ''}`)
  }
  if (p.volume && p.page && p.year !== undefined) keys.push(`j ${p.volume} ${p.page} ${p.year}`)
  return keys
}

/** All pairs of places that share a key, each once. */
export function* candidatePairs(prints: readonly Print[]): Generator<readonly [number, number], void> {
  const blocks = new Map<string, number[]>()
  prints.forEach((p, n) => {
    for (const key of blockKeys(p)) {
      const known = blocks.get(key)
      if (known) {
        if (known.at(-1) !== n) known.push(n)
      } else blocks.set(key, [n])
    }
  })
  const seen = new Set<number>()
  for (const [key, members] of blocks) {
    if (members.length < 2 || (members.length > MOST && !key.startsWith('d '))) continue
    for (let i = 0; i < members.length; i++)
      for (let j = i + 1; j < members.length; j++) {
        const pair = members[i]! * prints.length + members[j]!
        if (seen.has(pair)) continue
        seen.add(pair)
        yield [members[i]!, members[j]!]
      }
  }
}
