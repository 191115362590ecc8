import { recognise, readPasted, readStyle } from '../records'
import { readDescription } from '../profile'
import { readSide } from '../review'
import { recogniseHistory } from '../strategy'

/** What somebody may hand in anywhere, by the door that takes it. */
export type HandedKind =
  | 'package'
  | 'records'
  | 'history'
  | 'vocabulary'
  | 'description'
  | 'side'
  | 'style'
  | 'known'

/** What a thing is, or in words why nothing here takes it. */
export type WhatItIs = { kind: HandedKind } | { kind: undefined; words: string }

/** So many lines of a text are looked at for a history: more say nothing that these do not. */
const LINES = 400
/** Signs of a thesaurus that is printed as a list of terms, each at the beginning of an indented line. */
const LIST_OF_TERMS = /^\s+(?:USE|UF|BT|NT|RT|SN)\d*\b[ :\t]/m

/** An object, or an array of objects, arrays or texts: references and lines that begin with “[1]” are neither. */
const JSON_BEGINS = /^\s*(?:\{\s*["}]|\[\s*[[{"\]])/

const starts = (bytes: Uint8Array, signs: string): boolean =>
  [...signs].every((sign, at) => bytes[at] === sign.charCodeAt(0))
const none = (words: string): WhatItIs => ({ kind: undefined, words })

/**
 * Says by what is in it, never by its name alone, what a file or a text is that was dropped or pasted somewhere. `bytes` are
 * all of it, or as much of its beginning as is at hand; then `whole` is false, and what only the whole can tell is left open.
 */
export async function whatItIs(bytes: Uint8Array, whole = true): Promise<WhatItIs> {
  if (starts(bytes, 'PK\u0003\u0004')) return archive(bytes)
  if (starts(bytes, '%PDF'))
    return none(
      'A PDF is the full text of one work: choose the work under Selection, Full texts, and attach it there.',
    )
  // A sign that no text has: an image, a sound, a program.
  if (bytes.subarray(0, 4000).includes(0))
    return none('This is no text, no package and no PDF, and nothing here takes it.')
  const text = new TextDecoder().decode(bytes).replace(/^\uFEFF/, '')
  if (!text.trim()) return none('Nothing is in it.')
  const kind = JSON_BEGINS.test(text) ? ofJson(text, bytes, whole) : await ofText(text)
  return kind
    ? { kind }
    : none(
        'What this is could not be told. Luvren takes records (RIS, BibTeX, CSL-JSON, tables, tagged files), search histories, vocabularies (SKOS or lists of terms), descriptions of databases, packages, readers’ files, citation styles, and DOIs or references.',
      )
}

/** An archive is a package where it begins as one; documents of offices are archives too. */
function archive(bytes: Uint8Array): WhatItIs {
  const name = new TextDecoder().decode(bytes.subarray(30, 30 + (bytes[26] ?? 0) + 256 * (bytes[27] ?? 0)))
  return /^(?:\[Content_Types\]|_rels\/|word\/|xl\/|mimetype$)/.test(name)
    ? none('A document or a sheet of an office is not read: save it as text or as CSV, and bring that in.')
    : { kind: 'package' }
}

/** CSL items have a title or a type of work; what is in an array and has neither is none. */
const CSL_ITEM = /"(?:title|type|DOI|container-title)"\s*:/

function ofJson(text: string, bytes: Uint8Array, whole: boolean): HandedKind | undefined {
  if (/"(?:[^"]*skos[^"]*|@context|@graph)"/.test(text)) return 'vocabulary'
  if (/^\s*\[/.test(text)) return CSL_ITEM.test(text) ? 'records' : undefined
  if (!whole) return undefined
  if (readSide(bytes).ok) return 'side'
  try {
    return readDescription(JSON.parse(text)).ok ? 'description' : undefined
  } catch {
    return undefined
  }
}

async function ofText(text: string): Promise<HandedKind | undefined> {
  if (/^\s*<(?:\?xml|!--|style|rdf)/i.test(text)) {
    if (/<rdf:RDF\b/.test(text)) return 'vocabulary'
    if (readStyle(text).ok) return 'style'
  }
  if (/^\s*(?:@prefix|@base|PREFIX)\s/im.test(text) || /<[^>\s]+>\s+<[^>\s]*skos[^>\s]*>/.test(text))
    return 'vocabulary'
  if (LIST_OF_TERMS.test(text)) return 'vocabulary'
  const shape = recognise(text)
  // A table may be one of searches as well: one of records has titles.
  if (shape && (!shape.table || shape.table.columns.includes('title'))) return 'records'
  const beginning = text.split(/\r\n|\r|\n/, LINES).join('\n')
  const items = await readPasted(beginning)
  const named = items.filter(
    (i) => i.doi !== undefined || (i.title && i.year !== undefined && i.authors.length),
  )
  if (named.length && 2 * named.length >= items.length) return 'known'
  const { rows } = recogniseHistory(beginning, { most: LINES })
  // A history has a count for most of its searches.
  if (2 * rows.filter((row) => row.hits !== undefined).length > rows.length) return 'history'
  return shape && 'records'
}
