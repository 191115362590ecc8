import { readAll, recognise } from '../formats/format'
import { csvText } from '../formats/table'
import type { Rec } from '../record'
import { baseOf, chance, DIRT, LOOKALIKES, plain, type Base, type Truth, without } from './dirt.fixture'

/**
 * Lists from poor files, in which it is known who is whose duplicate and of what kind each pair is: bodies as authors, out of
 * tables too; preprints and their articles; titles in translation; series of every year; siblings that no page tells apart;
 * editorials under one title. Made by hand from what such files were seen to hold; it shares no code with the rules.
 */
export interface PoorTruth extends Truth {
  /** By work, what kind it is; by name of a record, the kind of copy that it is. */
  kindOf: Map<number, string>
}

const HEADS = [
  'Institute for',
  'Ministry of',
  'Office for',
  'Council on',
  'Centre for',
  'Department of',
  'Institut für',
]
const OF = ['Rooms', 'Quiet Schools', 'Listening', 'School Buildings', 'Education', 'Klang', 'Speech']
const REPORTS = [
  'Annual report',
  'Noise in schools: yearly figures',
  'School building statistics',
  'Report of the year',
]
const PREPRINTS = 'Open Preprints in Learning'
const FOREIGN =
  'Lärm Klassenraum Lesen Hören Wand Decke Schule Kinder Sprache Sitzplatz Unterricht Akustik Raum Pause Lehrkraft Stimme Aufmerksamkeit Rechnen Fenster Straße'.split(
    ' ',
  )
const SIBLINGS: [string, string][] = [
  ['a study of boys', 'a study of girls'],
  ['Grade 3 pupils', 'Grade 4 pupils'],
  ['results for readers', 'results for listeners'],
  ['Experiment 1', 'Experiment 2'],
  ['the view of teachers', 'the view of parents'],
  ['effects in winter', 'effects in summer'],
]

const lettersOf = (name: string): string =>
  [...name.matchAll(/(?<=^|[\s{])\p{L}/gu)].map(([l]) => l.toUpperCase()).join('')

/** The authors of a record as a table has them, read by a version of the readers. */
function throughTable(records: Rec[], version: number): Rec[] {
  if (!records.length) return records
  const text = csvText([
    ['Title', 'Authors'],
    ...records.map((r) => [r.title || 'x', r.authors.map((a) => a.replace(/^\{(.*)\}$/, '$1')).join('; ')]),
  ])
  const read = readAll(text, recognise(text, {}, 'csv')!, undefined, version)
  return records.map((r, n) => ({ ...r, authors: read.items[n]!.record!.authors }))
}

/** Some three thousand records, by a seed, as a version of the readers reads them. */
export function poorTruth(seed: number, version: number, works = 1180): PoorTruth {
  const c = chance(seed)
  const rows: { record: Rec; of: number; table: boolean }[] = []
  const kindOf = new Map<number, string>()
  let work = 0
  const put = (record: Rec, of: number, table = false): number => rows.push({ record, of, table })
  const next = (kind: string): number => {
    kindOf.set(work, kind)
    return work++
  }
  const dirty = (b: Base): Rec => {
    const record = plain(b)
    for (let k = c.below(4); k > 0; k--) c.pick(DIRT)(record, b, c)
    return record
  }
  const body = (): string => {
    const one = `${c.pick(HEADS)} ${c.pick(OF)}`
    return c.odds(0.35) ? `{${one}, ${c.pick(HEADS)} ${c.pick(OF)}}` : one
  }

  for (let n = 0; n < works; n++) {
    const b = baseOf(n, c)
    const turn = c.next()
    if (turn < 0.05) {
      // A body as the author; one copy comes out of a table, mostly without an identifier.
      const own = next('body')
      const name = body()
      const copies = 2 + c.below(2)
      for (let k = 0; k < copies; k++) {
        // Some add where the body is, some have its first letters alone.
        const called = !k || c.odds(0.8) ? name : c.odds(0.5) ? `${name} (Northwick)` : lettersOf(name)
        const record = { ...plain(b), authors: [called] }
        const poor = c.odds(k ? 0.75 : 0.2) ? without(record, 'doi') : record
        put(k && c.odds(0.4) ? without(poor, 'abstract') : poor, own, k > 0)
      }
    } else if (turn < 0.065) {
      // One of two copies has the title in the language of the work.
      const own = next('translated')
      const title = Array.from({ length: 7 }, () => c.pick(FOREIGN)).join(' ')
      const placeless = c.odds(0.4)
      const [one, copy] = [plain(b), { ...without(plain(b), 'doi'), title }]
      // The abstract is the same, or in the other language too, or not there.
      const turnOf = c.next()
      const abroad = Array.from({ length: 50 }, () => c.pick(FOREIGN)).join(' ')
      const other =
        turnOf < 0.6 ? copy : turnOf < 0.8 ? { ...copy, abstract: abroad } : without(copy, 'abstract')
      put(one, own)
      put(placeless ? without(other, 'pages', 'volume', 'issue') : other, own)
    } else if (turn < 0.1) {
      const own = next('preprint')
      const article = plain(b)
      const preprint: Rec = {
        ...without(article, 'volume', 'issue', 'pages'),
        journal: PREPRINTS,
        type: 'preprint',
        doi: `${b.doi}.pre`,
        year: b.year - c.below(2),
      }
      if (c.odds(0.25))
        preprint.title = `${b.title}: ${c.pick(['first results', 'a draft', 'working version'])}`
      if (c.odds(0.3)) delete preprint.abstract
      put(c.odds(0.25) ? without(article, 'doi') : article, own)
      put(c.odds(0.4) ? without(preprint, 'doi') : preprint, own)
    } else if (turn < 0.118) {
      // Two studies by the same people in one volume, which no page tells apart.
      const [one, other] = c.pick(SIBLINGS)
      const silent = c.odds(0.3)
      for (const [k, words] of [one, other].entries()) {
        const b2 = { ...b, subtitle: words, abstract: k ? baseOf(n, c).abstract : b.abstract }
        const own = next('sibling')
        const record = without(plain(b2), 'pages', 'doi', ...(silent ? (['abstract'] as const) : []))
        put(record, own)
        if (c.odds(0.4)) put({ ...record, title: record.title.toUpperCase() }, own, true)
      }
    } else {
      const own = next('article')
      for (let copies = c.pick([1, 2, 2, 3, 3]); copies > 0; copies--) put(dirty(b), own, c.odds(0.25))
      if (c.odds(0.16)) put(c.pick(LOOKALIKES)(b, c), next('lookalike'))
    }
  }
  // Reports of every year by one body: another work each, some of them in two copies.
  for (let s = 0; s < works / 95; s++) {
    const name = body()
    const title = `${REPORTS[s % REPORTS.length]!}${c.odds(0.5) ? ` of the ${c.pick(OF).toLowerCase()} programme` : ''}`
    const withYear = c.odds(0.4)
    const from = 1998 + c.below(10)
    for (let y = 0; y < 12; y++) {
      const own = next('series')
      const record: Rec = {
        ...without(plain(baseOf(0, c)), 'volume', 'issue', 'pages', 'doi', 'journal', 'abstract'),
        title: withYear ? `${title} ${from + y}` : title,
        authors: [name],
        year: from + y,
        publisher: 'Harbour Press',
        type: 'report',
      }
      put(record, own)
      if (c.odds(0.15)) put({ ...record, title: record.title.toUpperCase() }, own, true)
    }
  }
  // Reviews and editorials under one title, in several journals, with the same volume and page now and then.
  for (let n = 0; n < works / 80; n++) {
    const b = baseOf(works + n, c)
    const people = [{ given: c.pick(['Wim', 'Rosa']), family: 'Prins' }]
    for (const journal of ['Sound and Schooling', 'Educational Spaces'].slice(0, 1 + c.below(2))) {
      const record = plain({
        ...b,
        title: c.pick(['Editorial', 'Book review']),
        subtitle: '',
        authors: people,
        journal,
        volume: 10,
        issue: 1,
        // No two of them at one place: that nobody could tell apart.
        page: 1 + ((n * 2) % 23) + (journal.length % 2),

        year: 2012,
        doi: `${b.doi}.${journal.length}`,
      })
      put(c.odds(0.6) ? without(record, 'doi', 'abstract') : record, next('editorial'))
    }
  }
  const tables = throughTable(
    rows.filter((r) => r.table).map((r) => r.record),
    version,
  )
  let at = 0
  for (const row of rows) if (row.table) row.record = tables[at++]!
  for (let i = rows.length - 1; i > 0; i--) {
    const j = c.below(i + 1)
    ;[rows[i], rows[j]] = [rows[j]!, rows[i]!]
  }
  const records = rows.map(({ record }, n) => ({
    name: `p#${n + 1}`,
    record: { ...record, id: `p#${n + 1}` },
  }))
  return { records, kindOf, workOf: new Map(rows.map(({ of }, n) => [`p#${n + 1}`, of])) }
}
