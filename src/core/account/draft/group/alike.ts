import type { Claim, ClaimOf } from '../../claims'
import type { Alike } from '../grouped'

/** The claims of a kind, in their order. */
export const ofKind = <K extends Claim['says']>(claims: readonly Claim[], says: K): ClaimOf<K>[] =>
  claims.filter((c): c is ClaimOf<K> => c.says === says)

/** The evidence of several claims, each once. */
export const evidence = (claims: readonly Claim[]): string[] => [...new Set(claims.flatMap((c) => c.on))]

/** Sources of which the same is to be said, put together; those of which it is said most often first, else as they came. */
export function alike<C extends { sourceId: string }, T>(
  claims: readonly C[],
  what: (claim: C) => T,
): Alike<T>[] {
  const groups = new Map<string, Alike<T>>()
  for (const claim of claims) {
    const own = what(claim)
    const key = JSON.stringify(own)
    const group = groups.get(key)
    if (group) group.sourceIds.push(claim.sourceId)
    else groups.set(key, { sourceIds: [claim.sourceId], what: own })
  }
  return [...groups.values()].sort((a, b) => b.sourceIds.length - a.sourceIds.length)
}
