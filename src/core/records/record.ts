import { z } from 'zod'
import { emptyByName } from '../base'
import type { Document } from '../engine'

const Texts = z.array(z.string())

/**
 * One bibliographic description as a source gave it; `formats/csl.ts` says what each part is called in CSL-JSON. A name
 * with a comma inside that is not a person's stands in braces: "{Ministry of Schools, Sports}". `extra` keeps what was
 * read but not understood, by its tag, so that it can be written back.
 */
export const Rec = z.object({
  /** The record's number in its source. */
  id: z.string().min(1),
  title: z.string(),
  abstract: z.string().optional(),
  authors: Texts.default([]),
  year: z.int().optional(),
  journal: z.string().optional(),
  volume: z.string().optional(),
  issue: z.string().optional(),
  pages: z.string().optional(),
  doi: z.string().optional(),
  issn: z.string().optional(),
  isbn: Texts.optional(),
  url: z.string().optional(),
  /** Further addresses. */
  urls: Texts.optional(),
  /** The day or month of publication where more than the year is known, as in ISO 8601: "2019-05", "2019-05-12". */
  issued: z.string().optional(),
  /** When the address was visited, in the same form. */
  accessed: z.string().optional(),
  editors: Texts.optional(),
  translators: Texts.optional(),
  shortTitle: z.string().optional(),
  originalTitle: z.string().optional(),
  shortJournal: z.string().optional(),
  /** The series that a book stands in. */
  series: z.string().optional(),
  seriesNumber: z.string().optional(),
  publisher: z.string().optional(),
  publisherPlace: z.string().optional(),
  event: z.string().optional(),
  eventPlace: z.string().optional(),
  eventDate: z.string().optional(),
  edition: z.string().optional(),
  /** Of a report, an article, a thesis. */
  number: z.string().optional(),
  /** The kind in the publisher's own words: "Doctoral thesis". */
  genre: z.string().optional(),
  notes: Texts.optional(),
  /** ISO 639-1. */
  language: z.string().optional(),
  type: z.string().optional(),
  /** Parts that were not said and are concluded from others: "type". */
  inferred: Texts.optional(),
  peerReviewed: z.boolean().optional(),
  openAccess: z.boolean().optional(),
  timesCited: z.int().optional(),
  keywords: Texts.default([]),
  headings: z.array(z.object({ label: z.string(), main: z.boolean() })).default([]),
  classes: Texts.default([]),
  places: Texts.default([]),
  authorPlaces: Texts.default([]),
  population: Texts.default([]),
  tests: Texts.default([]),
  method: Texts.default([]),
  fulltext: z.string().optional(),
  /** What it cites, as the source prints it; `id` where the source holds the cited record too. */
  references: z.array(z.object({ raw: z.string(), id: z.string().optional() })).optional(),
  /** It says something of another record: that it was retracted, or corrected. */
  notice: z
    .object({ kind: z.enum(['retraction', 'correction']), doi: z.string().optional(), title: z.string() })
    .optional(),
  extra: z.record(z.string(), Texts).default({}),
})
export type Rec = z.infer<typeof Rec>

/** A record with nothing but its number and title. */
export const emptyRecord = (id: string, title = ''): Rec => ({
  id,
  title,
  authors: [],
  keywords: [],
  headings: [],
  classes: [],
  places: [],
  authorPlaces: [],
  population: [],
  tests: [],
  method: [],
  extra: emptyByName(),
})

const present = <T>(value: T | undefined): T[] => (value === undefined || value === '' ? [] : [value])
const flag = (value: boolean | undefined): string[] => (value === undefined ? [] : [value ? 'yes' : 'no'])

/** The record as the engine sees it. */
export function toDocument(record: Rec): Document {
  return {
    fields: {
      title: present(record.title),
      abstract: present(record.abstract),
      keywords: record.keywords,
      subject: record.headings.map((h) => h.label),
      author: record.authors,
      journal: present(record.journal),
      place: record.places,
      test: record.tests,
      identifier: [...present(record.doi), ...present(record.issn)],
      fulltext: present(record.fulltext),
    },
    headings: record.headings,
    classes: record.classes,
    facets: {
      year: present(record.year),
      language: present(record.language),
      type: present(record.type),
      peerReviewed: flag(record.peerReviewed),
      openAccess: flag(record.openAccess),
      population: record.population,
      place: record.places,
    },
  }
}

/** "Ahola, R.; Prins, D. (2019)": who and when, as lists show it. Three names or more become "Ahola, R. et al.". */
export function whoAndWhen(record: Pick<Rec, 'authors' | 'year'>): string {
  const [first, second] = record.authors
  const family = (name: string): string => /^\{([^]*)\}$/.exec(name)?.[1] ?? name.split(',')[0]!.trim()
  const who =
    record.authors.length > 2
      ? `${family(first!)} et al.`
      : [first, second].flatMap((a) => (a ? [family(a)] : [])).join(' & ')
  return [who || 'No author', record.year ? `(${record.year})` : '(no year)'].join(' ')
}

/** "Journal of Learning Spaces 7(2), 41–58". Empty where nothing is known. */
export function whereFrom(record: Rec): string {
  const volume = [record.volume, record.issue ? `(${record.issue})` : ''].filter(Boolean).join('')
  return [[record.journal, volume].filter(Boolean).join(' '), record.pages].filter(Boolean).join(', ')
}

/** What a work is called in files that are handed out, by its id: with a sign that every format of references takes. */
export const handedName = (workId: string): string => workId.replace('/', '-')
