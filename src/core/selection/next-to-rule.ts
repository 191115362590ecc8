/**
 * The work that is ruled next: the first behind this one in its list that this reader has not ruled, else the first before
 * it, else the first of the whole pool. Undefined where all of them are ruled: then nothing is shown to be ruled again.
 */
export function nextToRule(
  list: readonly string[],
  pool: readonly string[],
  current: string,
  isRuled: (id: string) => boolean,
): { id: string; of: 'list' | 'pool' } | undefined {
  const at = list.indexOf(current)
  const left = (id: string): boolean => id !== current && !isRuled(id)
  const own = list.slice(at + 1).find(left) ?? list.slice(0, Math.max(0, at)).find(left)
  if (own !== undefined) return { id: own, of: 'list' }
  const other = pool.find(left)
  return other === undefined ? undefined : { id: other, of: 'pool' }
}
