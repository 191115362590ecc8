/** From so many wanted on, sorting everything is quicker than putting each in its place. */
const MANY = 100

/**
 * The first `most` of `all` in the order of `compare`, without sorting the rest: one letter may offer half a vocabulary,
 * of which a screen shows a dozen. What compares equal keeps its order.
 */
export function firstOf<T>(all: Iterable<T>, most: number, compare: (a: T, b: T) => number): T[] {
  if (most > MANY) return [...all].sort(compare).slice(0, most)
  const first: T[] = []
  if (most < 1) return first
  for (const one of all) {
    if (first.length === most && compare(one, first[most - 1]!) >= 0) continue
    let at = first.length
    while (at > 0 && compare(one, first[at - 1]!) < 0) at--
    first.splice(at, 0, one)
    if (first.length > most) first.pop()
  }
  return first
}
