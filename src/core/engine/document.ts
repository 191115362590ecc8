import { TEXT_FIELDS, type Field } from '../query'

/** The fields whose words are indexed, in the order in which their positions are laid out. */
export const INDEXED_FIELDS = [
  'title',
  'abstract',
  'keywords',
  'subject',
  'author',
  'journal',
  'place',
  'test',
  'identifier',
  'fulltext',
] as const satisfies readonly Field[]
export type IndexedField = (typeof INDEXED_FIELDS)[number]

/**
 * What the engine needs to know of a record. Every field is a list of values (one abstract, many keywords); absent
 * means empty. `facets` holds what limits and facets go by; a facet value is compared as it stands.
 */
export interface Document {
  fields: Partial<Record<IndexedField, readonly string[]>>
  headings: readonly { label: string; main: boolean }[]
  classes: readonly string[]
  facets: Partial<Record<string, readonly (string | number)[]>>
}

/** Words between two values of one field: more than any nearness asks for, so that nothing crosses. */
export const VALUE_GAP = 1 << 12
/** A position is the field's number in the upper bits and the place within the field in the lower 27. */
export const FIELD_SHIFT = 27
export const fieldOfPosition = (position: number): number => position >>> FIELD_SHIFT

export const ALL_FIELDS_MASK = (1 << INDEXED_FIELDS.length) - 1

const isIndexed = (field: Field): field is IndexedField =>
  (INDEXED_FIELDS as readonly Field[]).includes(field)

/** The bits of a field or group. `any` is for the source to say. */
export function fieldMask(fields: readonly Field[], any: readonly Field[]): number {
  let mask = 0
  for (const field of fields) {
    if (field === 'any')
      mask |= fieldMask(
        any.filter((f) => f !== 'any'),
        [],
      )
    else if (field === 'text') mask |= fieldMask(TEXT_FIELDS, [])
    // A field that no record here has: nothing is found in it.
    else if (isIndexed(field)) mask |= 1 << INDEXED_FIELDS.indexOf(field)
  }
  return mask
}

/** What `any` searches where a source does not say otherwise: everything but the full text. */
export const DEFAULT_ANY: readonly Field[] = INDEXED_FIELDS.filter((f) => f !== 'fulltext')

/** `class.below` of "B4" takes "B4" and "B4.2" but not "B42". */
export function classMatches(code: string, wanted: string, below: boolean): boolean {
  if (code === wanted) return true
  if (!below || !code.startsWith(wanted)) return false
  return !(/\d$/.test(wanted) && /\d/.test(code.charAt(wanted.length)))
}
