import { byName } from '../../base'

/** What RIS codes and BibTeX entries meant to the readers of versions 1 and 2: files that they read are read again so. */
export const OLD_RIS: Readonly<Record<string, string>> = byName({
  JOUR: 'journal article',
  EJOUR: 'journal article',
  CPAPER: 'conference paper',
  CONF: 'conference paper',
  THES: 'thesis',
  RPRT: 'report',
  CHAP: 'chapter',
  ECHAP: 'chapter',
  BOOK: 'book',
  EBOOK: 'book',
  EDBOOK: 'edited book',
  MGZN: 'magazine article',
  NEWS: 'newspaper article',
  DATA: 'dataset',
  ELEC: 'web page',
  UNPB: 'manuscript',
  STAND: 'standard',
  PAT: 'patent',
})
export const OLD_ENTRIES: Readonly<Record<string, string>> = byName({
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
export const OLD_CSL: Readonly<Record<string, string>> = byName({
  'article-journal': 'journal article',
  'paper-conference': 'conference paper',
  chapter: 'chapter',
  book: 'book',
  thesis: 'thesis',
  report: 'report',
  'article-magazine': 'magazine article',
  'article-newspaper': 'newspaper article',
  dataset: 'dataset',
  webpage: 'web page',
  manuscript: 'manuscript',
  standard: 'standard',
  patent: 'patent',
})

const firstNames = (of: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  byName(
    Object.fromEntries(
      Object.entries(of)
        .reverse()
        .map(([name, type]) => [type, name]),
    ),
  )
/** Of two names of one type, the first. */
export const OLD_RIS_CODES = firstNames(OLD_RIS)
export const OLD_ENTRY_NAMES = firstNames(OLD_ENTRIES)
