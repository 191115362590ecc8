import type { FromSide } from './selection-values'

/** What this journal itself says in a place, where what stands there may have come in a file. */
export const ownOf = <T extends FromSide<T>>(standing: T | undefined): T | undefined =>
  standing?.side ? standing.under : standing

/** Of several words on one matter the later by its own time; of two of the same time that of the smaller person id. */
export function lastOf<T extends { at?: string }>(
  all: readonly T[],
  who: (word: T) => string,
): T | undefined {
  return all.reduce<T | undefined>((last, word) => {
    if (!last) return word
    const [a, b] = [last.at ?? '', word.at ?? '']
    if (a !== b) return a > b ? last : word
    return who(word) < who(last) ? word : last
  }, undefined)
}
