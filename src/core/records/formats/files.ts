/** All formats, in the order in which they are offered. */
export const FORMATS = ['ris', 'bibtex', 'csl-json', 'csv', 'tagged'] as const
export type FormatId = (typeof FORMATS)[number]

/** What formats and their files are called; apart from how they are read, which is much larger. */
export const FORMAT_FILES: Readonly<
  Record<
    FormatId,
    {
      words: string
      /** Of files, the first is written. */
      endings: readonly string[]
      /** The kind of content (IANA media types, where one is registered). */
      content: string
    }
  >
> = {
  'csl-json': {
    words: 'CSL-JSON',
    endings: ['json'],
    content: 'application/vnd.citationstyles.csl+json',
  },
  ris: {
    words: 'RIS',
    endings: ['ris'],
    content: 'application/x-research-info-systems',
  },
  bibtex: {
    words: 'BibTeX',
    endings: ['bib'],
    content: 'application/x-bibtex',
  },
  tagged: {
    words: 'tagged text',
    endings: ['txt'],
    content: 'text/plain',
  },
  csv: {
    words: 'CSV',
    endings: ['csv', 'tsv'],
    content: 'text/csv',
  },
}

/** Something of every format, by its name. */
const ofEach = <T>(of: (file: (typeof FORMAT_FILES)[FormatId]) => T): Readonly<Record<FormatId, T>> =>
  Object.fromEntries(FORMATS.map((id) => [id, of(FORMAT_FILES[id])])) as Record<FormatId, T>

export const FORMAT_WORDS = ofEach((f) => f.words)
/** The ending that files are written with. */
export const FORMAT_ENDINGS = ofEach((f) => f.endings[0]!)
export const FORMAT_CONTENTS = ofEach((f) => f.content)
/** What a choice of files lets through: the endings of all formats. */
export const RECORD_FILES = FORMATS.flatMap((id) =>
  FORMAT_FILES[id].endings.map((ending) => `.${ending}`),
).join(',')
