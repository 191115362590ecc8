/** A person's name in parts, or one that is no person's. */
export interface NameParts {
  family?: string
  given?: string
  suffix?: string
  literal?: string
}

/** "van der Berg, Jan, Jr" in parts; without a comma, or in braces, the name is whole. */
export function nameParts(name: string): NameParts {
  const whole = /^\{([^]*)\}$/.exec(name.trim())
  if (whole) return { literal: whole[1]! }
  const [family, given, ...suffix] = name.split(',').map((p) => p.trim())
  if (given === undefined || !family) return { literal: name.trim() }
  return { family, ...(given ? { given } : {}), ...(suffix.length ? { suffix: suffix.join(', ') } : {}) }
}

/** The name as a record has it. */
export function nameOf({ family, given, suffix, literal }: NameParts): string {
  if (literal !== undefined && family === undefined) return literal.includes(',') ? `{${literal}}` : literal
  const parts = [family ?? '', given ?? '', ...(suffix ? [suffix] : [])]
  return given || suffix ? parts.join(', ') : `${family ?? ''},`
}

/** The name as people read it, without the braces. */
export const plainName = (name: string): string => name.replace(/^\{([^]*)\}$/, '$1').replace(/,\s*$/, '')

/** "Jan van der Berg" → "van der Berg, Jan": the last word, and small words before it, are the family name. */
export function turnName(words: readonly string[]): string {
  if (words.length < 2) return words.join(' ')
  let from = words.findIndex((w, i) => i < words.length - 1 && /^\p{Ll}/u.test(w))
  if (from < 0) from = words.length - 1
  const given = words.slice(0, from).join(' ')
  const family = words.slice(from).join(' ')
  return given ? `${family}, ${given}` : family
}

/** A name as tables and tagged files have it: "Ahola R" and "Ahola, R." begin with the family name, "R. Ahola" ends with it. */
export function readPerson(text: string): string {
  if (text.includes(',')) return text
  const initials = /^(\p{L}[\p{L}’' -]+) (\p{Lu}{1,3})$/u.exec(text)
  return initials ? `${initials[1]}, ${initials[2]}` : turnName(text.split(/\s+/))
}
