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

/**
 * The same for a text: the answers for so many texts that were asked for last are kept, twice as many at most. Only for
 * answers that nobody changes in place and that depend on nothing else. A text longer than `longest` is not kept.
 */
export function keptByText<T>(
  find: (text: string) => T,
  { most, longest }: { most: number; longest: number },
): (text: string) => T {
  let fresh = new Map<string, { answer: T }>()
  let before = new Map<string, { answer: T }>()
  return (text) => {
    if (text.length > longest) return find(text)
    let known = fresh.get(text)
    if (known) return known.answer
    known = before.get(text) ?? { answer: find(text) }
    // What was not asked for since twice so many were goes.
    if (fresh.size >= most) {
      before = fresh
      fresh = new Map()
    }
    fresh.set(text, known)
    return known.answer
  }
}
