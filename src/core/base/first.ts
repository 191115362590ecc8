/** The first `most` of a list in an order, as sorting all of it would give them; equal ones in the order of the list. */
export function firstOf<T>(list: Iterable<T>, most: number, order: (a: T, b: T) => number): T[] {
  const first: T[] = []
  if (most < 1) return first
  for (const one of list) {
    if (first.length >= most && order(one, first[most - 1]!) >= 0) continue
    let at = first.length
    while (at > 0 && order(one, first[at - 1]!) < 0) at--
    first.splice(at, 0, one)
    if (first.length > most) first.pop()
  }
  return first
}
