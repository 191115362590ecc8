import type { IndexedField } from './document'
import type { Hit } from './scan'

/** A matched word with what stands before and behind it, cut at whole words. */
export interface InContext {
  field: IndexedField
  value: number
  before: string
  match: string
  behind: string
}

/** Words in context: each hit with about `width` characters on either side; hits that touch are shown as one. */
export function wordsInContext(
  hits: readonly Hit[],
  text: (field: IndexedField, value: number) => string,
  width = 40,
): InContext[] {
  const joined: Hit[] = []
  for (const hit of hits) {
    const last = joined[joined.length - 1]
    const touches =
      last && last.field === hit.field && last.value === hit.value && hit.at[0] - last.at[1] <= 1
    if (touches) joined[joined.length - 1] = { ...last, at: [last.at[0], hit.at[1]] }
    else joined.push(hit)
  }
  return joined.map(({ field, value, at }) => {
    const whole = text(field, value)
    return {
      field,
      value,
      before: whole.slice(Math.max(0, at[0] - width), at[0]).replace(at[0] > width ? /^\S*\s/ : /^/, ''),
      match: whole.slice(...at),
      behind: whole.slice(at[1], at[1] + width).replace(at[1] + width < whole.length ? /\s\S*$/ : /$^/, ''),
    }
  })
}
