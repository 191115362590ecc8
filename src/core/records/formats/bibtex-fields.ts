import type { Rec } from '../record'

type TextKey = { [K in keyof Rec]-?: Rec[K] extends string | undefined ? K : never }[keyof Rec]

/** Fields with one text each (BibTeX, appendix of the LaTeX manual; biblatex 3, section 2.2). The first name is written. */
export const TEXT_FIELDS: readonly (readonly [key: TextKey, names: readonly string[]])[] = [
  ['title', ['title']],
  ['journal', ['journal', 'journaltitle', 'booktitle', 'maintitle']],
  ['shortJournal', ['shortjournal']],
  ['volume', ['volume']],
  ['abstract', ['abstract']],
  ['issn', ['issn']],
  ['language', ['language', 'langid']],
  ['publisher', ['publisher', 'school', 'institution', 'organization']],
  ['publisherPlace', ['address', 'location']],
  ['edition', ['edition']],
  ['series', ['series']],
  ['event', ['eventtitle']],
  ['eventPlace', ['venue']],
  ['eventDate', ['eventdate']],
  ['genre', ['type']],
  ['shortTitle', ['shorttitle']],
  ['originalTitle', ['origtitle']],
  ['accessed', ['urldate']],
]
export const TEXT_KEYS: ReadonlyMap<string, TextKey> = new Map(
  TEXT_FIELDS.flatMap(([key, names]) => names.map((name) => [name, key] as const)),
)

/** Fields that hold an address or an identifier, in which signs mean themselves. */
export const VERBATIM: ReadonlySet<string> = new Set(['url', 'doi', 'eprint', 'file', 'pdf', 'urlraw'])
