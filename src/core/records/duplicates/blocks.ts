import type { Print } from './print'

/** A key that so many records share says nothing: pairs behind it are found by others, or not at all. */
export const MOST = 120

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
  if (p.more?.opening !== undefined) keys.push(`b ${p.more.opening}`)
  return keys
}
