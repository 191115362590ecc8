import { byName } from '../../base'
import type { Rec } from '../record'

/** What kinds of entry are called here; of several for one, the first is written. */
export const ENTRY_TYPES: Readonly<Record<string, string>> = byName({
  article: 'journal article',
  inproceedings: 'conference paper',
  conference: 'conference paper',
  incollection: 'chapter',
  inbook: 'chapter',
  book: 'book',
  collection: 'edited book',
  thesis: 'thesis',
  phdthesis: 'thesis',
  mastersthesis: 'thesis',
  report: 'report',
  techreport: 'report',
  dataset: 'dataset',
  online: 'web page',
  electronic: 'web page',
  unpublished: 'manuscript',
  patent: 'patent',
})
export const ENTRY_NAMES: Readonly<Record<string, string>> = byName(
  Object.fromEntries(
    Object.entries(ENTRY_TYPES)
      .reverse()
      .map(([name, type]) => [type, name]),
  ),
)

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
