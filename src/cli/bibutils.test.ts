// Debian's bibutils 7.2, an independent converter, reads what is written here and writes what is read here.
import { execFileSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { foldLabel } from '@/core/base'
import { emptyRecord, readAll, WRITERS, type Rec } from '@/core/records'
import { recordsOf } from '@/standins/corpus/releases'

const THERE = existsSync('/usr/bin/ris2xml')
const through = (text: string, ...programs: (readonly [string, ...string[]])[]): string =>
  programs.reduce(
    (input, [program, ...options]) =>
      execFileSync(program, options, { input, encoding: 'utf8', stdio: ['pipe', 'pipe', 'ignore'] }),
    text,
  )
const read = (text: string, format: 'ris' | 'bibtex'): Rec[] =>
  readAll(text, { format }).items.flatMap((i) => (i.record ? [i.record] : []))

/** Articles of two sources, and some with whatever makes converters stumble. */
const RECORDS: Rec[] = [
  ...recordsOf('fernhollow', '2026-03').slice(0, 150),
  ...recordsOf('mindmere', '2026-03').slice(0, 150),
]
  // It knows keywords, but no headings.
  .map((r): Rec => ({ ...r, headings: [] }))
  .filter((r) => r.type === 'journal article' && r.pages?.includes('–'))
  .concat(
    [
      'Élan in rooms: A 100 % trial of $5 panels',
      'Ångström & sound_levels, #1',
      'Größe and naïveté — “quoted”',
      'Schall und Łódź: Çevre',
    ].map((title, n) => ({
      ...emptyRecord(`odd${n}`, title),
      authors: ['Ünlü, Çem K.', 'Ørsted, Åse', "O'Dell, Mary-Ann"],
      year: 2019 + n,
      journal: 'Journal of Learning Spaces',
      volume: '7',
      issue: '2',
      pages: '41–58',
      doi: `10.5555/odd.${n}`,
      issn: '1234-5679',
      abstract: 'Rooms & halls; 50 % louder.',
      keywords: ['noise', 'état'],
      type: 'journal article',
    })),
  )

/** What a reference stands on, spelled alike whatever dash or case a converter likes. */
const core = (r: Rec) => ({
  title: foldLabel(r.title),
  authors: r.authors.map(foldLabel),
  year: r.year,
  journal: r.journal && foldLabel(r.journal),
  volume: r.volume,
  issue: r.issue,
  pages: r.pages?.replace(/-+|–/g, '-'),
  doi: r.doi?.toLowerCase(),
  abstract: r.abstract && foldLabel(r.abstract),
  keywords: r.keywords.map(foldLabel),
})
const cores = (records: readonly Rec[]) => records.map(core)

describe.skipIf(!THERE)('an independent converter', () => {
  it('finds in RIS that is written here what was in the records, and gives it back', () => {
    expect(RECORDS.length).toBeGreaterThan(100)
    const back = read(through(WRITERS.ris(RECORDS), ['ris2xml'], ['xml2ris', '-nb']), 'ris')
    expect(cores(back)).toEqual(cores(RECORDS))
  })

  it('finds in BibTeX that is written here what was in the records', () => {
    const back = read(through(WRITERS.bibtex(RECORDS), ['bib2xml'], ['xml2ris', '-nb']), 'ris')
    // It parts keywords at semicolons alone; those of BibLaTeX are parted by commas (its manual, 2.2.2).
    const together = (all: ReturnType<typeof cores>) =>
      all.map((r) => ({ ...r, keywords: r.keywords.join(' ') }))
    expect(together(cores(back))).toEqual(together(cores(RECORDS)))
  })

  it('writes BibTeX, in Unicode or in LaTeX, that is read here as what was in the records', () => {
    const ris = WRITERS.ris(RECORDS)
    for (const way of [['-nl'], []])
      expect(cores(read(through(ris, ['ris2xml'], ['xml2bib', '-nb', ...way]), 'bibtex'))).toEqual(
        cores(RECORDS),
      )
  })
})
