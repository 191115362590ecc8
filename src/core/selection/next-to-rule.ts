interface Listed {
  id: string
}

/**
 * The work that is ruled next: the first behind this one in its list that this reader has not ruled, else the first before
 * it, else the first of the whole pool. Undefined where all of them are ruled: then nothing is shown to be ruled again. No
 * more works are looked at than have to be: it is asked at each key.
 */
export function nextToRule(
  list: readonly Listed[],
  pool: readonly Listed[],
  current: string,
  isRuled: (id: string) => boolean,
): { id: string; of: 'list' | 'pool' } | undefined {
  const at = list.findIndex((w) => w.id === current)
  const left = (of: readonly Listed[], from: number, to: number): string | undefined => {
    for (let n = from; n < to; n++) {
      const { id } = of[n]!
      if (id !== current && !isRuled(id)) return id
    }
    return undefined
  }
  const own = left(list, at + 1, list.length) ?? left(list, 0, Math.max(0, at))
  if (own !== undefined) return { id: own, of: 'list' }
  const other = left(pool, 0, pool.length)
  return other === undefined ? undefined : { id: other, of: 'pool' }
}
