import { foldWord } from '../../base'
import { ENTRY_GENRES, TYPE_ROWS, type TypeRow } from './table'

export { inferType, withInferred } from './infer'
export { GENRE_WORDS } from './table'
export type { TypeRow } from './table'

export const genreOfEntry = (entry: string): string | undefined => ENTRY_GENRES[entry]

/** What types are called here, in the order of their table. */
export const TYPE_WORDS: readonly string[] = TYPE_ROWS.map((row) => row.type)

/** Types of versions from before a publication. */
export const EARLY: ReadonlySet<string> = new Set(['preprint', 'working paper'])

const codes = (text: string): string[] => text.split(' ')
const rowsBy = (namesOf: (row: TypeRow) => readonly string[]): Map<string, TypeRow> => {
  const found = new Map<string, TypeRow>()
  // Of two rows with one name the first is what the name alone means.
  for (const row of TYPE_ROWS) for (const name of namesOf(row)) if (!found.has(name)) found.set(name, row)
  return found
}

const plain = (words: string): string => foldWord(words.trim()).replace(/[\s_-]+/g, ' ')
/** "Journal Articles" and "Journal article" are one word here. */
const singular = (words: string): string =>
  words.replace(/theses\b/g, 'thesis').replace(/(?<=[a-z]{3})s$/, '')

const BY_TYPE = new Map(TYPE_ROWS.map((row) => [row.type, row]))
const BY_RIS = rowsBy((row) => codes(row.ris))
const BY_CSL = rowsBy((row) => codes(row.csl))
const BY_ENTRY = rowsBy((row) => codes(row.bibtex))
const BY_WORDS = rowsBy((row) => [row.type, ...row.words.split(',')].map((w) => singular(plain(w))))

/**
 * The type that words stand for, whatever their case, language of the four, number or hyphens: "Zeitschriftenartikel" and
 * "Journal Articles" are a journal article. Of several words ("Journal Article; Review") the first that is known counts.
 * Undefined where none of them is known.
 */
export function typeOfWords(words: string): string | undefined {
  const whole = BY_WORDS.get(singular(plain(words)))
  if (whole) return whole.type
  const parts = words.split(/\s*[;,|:()]\s*|\s+[–—-]\s+/).filter(Boolean)
  for (const part of parts.length > 1 ? parts : []) {
    const found = BY_WORDS.get(singular(plain(part)))
    if (found) return found.type
  }
  return undefined
}

/** The type as it is called here, of one that stands in a record under any of its names; an unknown one is left as it is. */
export const oneType = (type: string): string => typeOfWords(type) ?? type

/** What a RIS code, a CSL type, a BibTeX entry alone means; undefined where nothing here has it. */
export const typeOfRis = (code: string): string | undefined => BY_RIS.get(code)?.type
export const typeOfCsl = (name: string): string | undefined => BY_CSL.get(name)?.type
export const typeOfEntry = (name: string): string | undefined =>
  name === 'misc' ? undefined : BY_ENTRY.get(name)?.type

const rowOf = (type: string | undefined): TypeRow | undefined =>
  type === undefined ? undefined : (BY_TYPE.get(type) ?? BY_TYPE.get(oneType(type)))
const firstOf =
  (of: 'ris' | 'csl' | 'bibtex') =>
  (type: string | undefined): string | undefined =>
    rowOf(type) && codes(rowOf(type)![of])[0]

/** What a type is written as; undefined where the format has nothing for it. */
export const risOf = firstOf('ris')
export const cslOf = firstOf('csl')
export const entryOf = firstOf('bibtex')

/** May words refine a type? Only to one that its own code stands for too: "book review" refines a journal article. */
export function refinedType(type: string, words: string): string | undefined {
  const finer = typeOfWords(words)
  return finer !== undefined && finer !== type && typeOfRis(risOf(finer)!) === type ? finer : undefined
}
