import { foldLabel } from '../../base'
import { inFields, or, phrase, print, word, type Expr, type Field } from '../../query'

export type NamedSort = 'author' | 'test' | 'place studied' | 'identifier'

/** The field that each sort of name goes to. A measure is also looked for in the text: not every source has the field. */
export const NAMED_FIELDS: Record<NamedSort, Field[]> = {
  author: ['author'],
  test: ['test', 'title', 'abstract', 'keywords'],
  'place studied': ['place'],
  identifier: ['identifier'],
}

/**
 * The forms in which databases write a person: in full, without further given names, with initials, with the first
 * initial. "Ahola, Riikka Maria" and "Riikka Maria Ahola" give the same. One word alone is a family name.
 */
export function nameForms(name: string): string[] {
  const clean = name.replace(/\s+/g, ' ').trim()
  const comma = clean.indexOf(',')
  const words = clean.split(' ')
  const family = comma >= 0 ? clean.slice(0, comma).trim() : familyOf(words)
  const given = (comma >= 0 ? clean.slice(comma + 1) : clean.slice(0, clean.length - family.length)).trim()
  if (!family) return []
  const names = given.split(/[\s.]+/).filter(Boolean)
  if (!names.length) return [family]
  const initials = names.map((n) => `${[...n][0]!.toUpperCase()}.`)
  const forms = [
    `${family}, ${names.map((n, i) => (n.length === 1 ? initials[i]! : n)).join(' ')}`,
    `${family}, ${names[0]!.length === 1 ? initials[0]! : names[0]!}`,
    `${family}, ${initials.join(' ')}`,
    `${family}, ${initials[0]!}`,
  ]
  return [...new Set(forms)]
}

/** The last word, with particles in small letters before it: "Jan van den Berg" is of the family "van den Berg". */
function familyOf(words: readonly string[]): string {
  let from = words.length - 1
  while (from > 1 && /^\p{Ll}/u.test(words[from - 1]!)) from--
  return words.slice(Math.max(0, from)).join(' ')
}

/** The plain notation for a name in all its forms; undefined where no form holds a letter or a digit. */
export function namedText(sort: NamedSort, forms: readonly string[]): string | undefined {
  const parts = [...new Set(forms.map(foldLabel))].filter(Boolean).map((folded): Expr => {
    const words = folded.split(' ')
    return words.length === 1 ? word(words[0]!) : phrase(...words)
  })
  return parts.length ? print(inFields([...NAMED_FIELDS[sort]], or(...parts))) : undefined
}
