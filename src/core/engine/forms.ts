import { fieldMask } from './document'
import { intersect, type DocSet } from './docset'
import type { Index } from './index-read'

/** One word that a word with signs matches, with how many records have it in title, abstract or keywords. */
export interface WordForm {
  form: string
  count: number
  /** How many of these lie in the set that was handed in. */
  near: number
}

/** All forms of a word with signs that occur in title, abstract or keywords, in alphabetical order. */
export function wordForms(index: Index, mask: string, nearby: DocSet): WordForm[] {
  const text = fieldMask(['text'], [])
  return index.termsFor(mask).flatMap((t) => {
    const docs = index.docsOf(t, text)
    return docs.length
      ? [{ form: index.term(t), count: docs.length, near: intersect(docs, nearby).length }]
      : []
  })
}

/** The forms of several sources as one list, their counts added. */
export function mergeForms(lists: readonly (readonly WordForm[])[]): WordForm[] {
  const merged = new Map<string, WordForm>()
  for (const { form, count, near } of lists.flat()) {
    const known = merged.get(form)
    if (known) {
      known.count += count
      known.near += near
    } else merged.set(form, { form, count, near })
  }
  return [...merged.values()].sort((a, b) => (a.form < b.form ? -1 : 1))
}
