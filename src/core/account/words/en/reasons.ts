/** So many reasons are told by name where there are more. */
const NAMED = 3

/**
 * All reasons with their numbers, or the most frequent and the rest together: they sum to what went out. `of`: the facts of
 * those that were removed unread, or of those that were set aside on their full text.
 */
export function reasonsTold(of: 'removed' | 'out', all: readonly { reason: string }[]): string[] {
  // A reason with signs that have a meaning in a document is counted, and not told.
  const tellable = all.filter((r) => !/[{}*]/.test(r.reason))
  const named = tellable.length === all.length && all.length <= NAMED + 1 ? all : tellable.slice(0, NAMED)
  const told = named.map((r) => (r.reason === 'none' ? `{${of}.none}` : `{${of}.for:${r.reason}}`))
  return named.length < all.length
    ? [...told, `{${of}.others:${named.map((r) => r.reason).join('\n')}}`]
    : told
}
