/**
 * The same answer for the same thing, found once and forgotten with it. Only for things that are never changed in place,
 * and for answers that depend on nothing else.
 */
export function keptFor<Of extends object, T>(find: (of: Of) => T): (of: Of) => T {
  const kept = new WeakMap<Of, { answer: T }>()
  return (of) => {
    const known = kept.get(of)
    if (known) return known.answer
    const answer = find(of)
    kept.set(of, { answer })
    return answer
  }
}
