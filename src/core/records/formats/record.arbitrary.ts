import fc from 'fast-check'
import { emptyRecord, type Rec } from '../record'

/** One line of text as files hold it: no spaces around it, one between words, signs of every kind inside. */
const word = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.constantFrom(
      'noise',
      'Lesen',
      'DNA',
      'état',
      '学習',
      'Å',
      'naïve',
      'ﬁ',
      '2019',
      'x-y',
      'and',
    ),
  },
  fc.constantFrom(
    'a;b',
    'a,b',
    'a\\b',
    '\\',
    '{',
    '}',
    '{x}',
    '$',
    '&',
    '%',
    '#',
    '_',
    '^',
    '~',
    '--',
    '``',
    "''",
    '"q"',
  ),
  fc.constantFrom(
    '=1+1',
    '+x',
    '-',
    '@y',
    "'=z",
    '<i>E. coli</i>',
    '&amp;',
    'AB -',
    'TY - JOUR',
    '10.5555/x',
    '|',
    ':',
  ),
  fc.string({ unit: 'grapheme', minLength: 1, maxLength: 4 }).map((s) => s.replace(/[\s\p{C}]/gu, '') || 'x'),
)
export const line = fc
  .array(word, { minLength: 1, maxLength: 4 })
  .map((words) => words.join(' ').normalize('NFC').trim())
const name = fc.oneof(
  fc
    .tuple(
      fc.constantFrom('Ahola', 'van der Berg', 'Müller-Łoś', '王', "O'Nuallain"),
      fc.constantFrom('R.', 'Jan Pieter', '明'),
    )
    .map(([f, g]) => `${f}, ${g}`),
  fc.constantFrom(
    'Berg, Jan, Jr',
    'Institute of Sound',
    '{Ministry of Schools, Sports and Youth}',
    'Barnes and Noise',
    'Plato,',
  ),
)
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined, freq: 1 })
const some = <T>(of: fc.Arbitrary<T>) => fc.array(of, { minLength: 1, maxLength: 3 })
const day = fc
  .tuple(
    fc.integer({ min: 1500, max: 2100 }),
    fc.integer({ min: 1, max: 12 }),
    fc.option(fc.integer({ min: 1, max: 28 })),
  )
  .map(([y, m, d]) =>
    [y, m, ...(d === null ? [] : [d])].map((n, i) => String(n).padStart(i ? 2 : 4, '0')).join('-'),
  )

const texts = {
  abstract: line,
  journal: line,
  volume: line,
  issue: line,
  issn: fc.constantFrom('0378-5955', '2434-561X'),
  doi: fc.constantFrom('10.5555/jls.2019.0207', '10.5555/a(b)_c', '10.5555/x%y#z'),
  url: fc.constantFrom('https://example.org/a_b?c=d&e=%20f#g', 'http://example.org/~x'),
  accessed: day,
  shortTitle: line,
  originalTitle: line,
  shortJournal: line,
  series: line,
  seriesNumber: line,
  publisher: line,
  publisherPlace: line,
  event: line,
  eventPlace: line,
  eventDate: fc.oneof(day, line),
  edition: line,
  number: line,
  genre: line,
  fulltext: line,
  language: fc.constantFrom('en', 'de', 'es', 'Klingon'),
  type: fc.constantFrom(
    'journal article',
    'conference paper',
    'chapter',
    'book',
    'edited book',
    'thesis',
    'report',
    'manuscript',
    'leaflet',
    'Odd Thing',
  ),
  pages: fc.constantFrom('41–58', '7', 'e1021', 'S12–S19', '–9'),
}
const lists = {
  keywords: line,
  isbn: fc.constantFrom('978-3-16-148410-0', '3161484100'),
  urls: fc.constantFrom('https://example.org/1', 'https://example.org/2'),
  editors: name,
  translators: name,
  notes: line,
  classes: line,
  places: line,
  authorPlaces: line,
  population: line,
  tests: line,
  method: line,
}
const without = (record: object): Rec =>
  Object.fromEntries(Object.entries(record).filter(([, v]) => v !== undefined)) as Rec

/** Any record as a reader could give it. */
export const anyRecord: fc.Arbitrary<Rec> = fc
  .record({
    id: fc.constantFrom('1', 'r-12', 'Ahola2019', 'X 7/b'),
    title: line,
    authors: fc.array(name, { maxLength: 3 }),
    date: maybe(fc.oneof(day, fc.integer({ min: 1500, max: 2100 }).map(String))),
    texts: fc.record(Object.fromEntries(Object.entries(texts).map(([k, a]) => [k, maybe(a)]))),
    lists: fc.record(Object.fromEntries(Object.entries(lists).map(([k, a]) => [k, maybe(some(a))]))),
    headings: fc.array(
      fc.record({ label: line.map((l) => l.replace(/^\*+/, '') || 'x'), main: fc.boolean() }),
      { maxLength: 3 },
    ),
    flags: fc.record({
      peerReviewed: maybe(fc.boolean()),
      openAccess: maybe(fc.boolean()),
      timesCited: maybe(fc.nat(5000)),
    }),
    references: maybe(fc.array(fc.record({ raw: line }), { minLength: 1, maxLength: 2 })),
    notice: maybe(
      fc.record({ kind: fc.constantFrom('retraction' as const, 'correction' as const), title: line }),
    ),
    extra: fc.dictionary(fc.constantFrom('C7', 'U1', 'custom field', 'medium', 'x_y', 'Ünü'), some(line), {
      maxKeys: 2,
    }),
  })
  .map(({ id, title, authors, date, texts: t, lists: l, headings, flags, references, notice, extra }) =>
    without({
      ...emptyRecord(id, title),
      authors,
      ...(date === undefined ? {} : { year: Number(date.slice(0, 4)) }),
      ...(date !== undefined && date.length > 4 ? { issued: date } : {}),
      ...t,
      ...l,
      keywords: l.keywords ?? [],
      classes: l.classes ?? [],
      places: l.places ?? [],
      authorPlaces: l.authorPlaces ?? [],
      population: l.population ?? [],
      tests: l.tests ?? [],
      method: l.method ?? [],
      headings,
      ...flags,
      references,
      notice,
      extra,
    }),
  )
