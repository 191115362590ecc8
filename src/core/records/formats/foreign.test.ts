import { plugins } from '@citation-js/core'
import '@citation-js/plugin-bibtex'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Rec } from '../record'
import { readAll, recognise, type Remembered } from './format'
import { fromLatex, toLatex } from './latex'

const read = (text: string, remembered?: Remembered) => {
  const shape = recognise(text, remembered)
  if (!shape) throw new Error('not recognised')
  return { shape, ...readAll(text, shape) }
}
const records = (text: string): Rec[] => read(text).items.flatMap((i) => i.record ?? [])

describe('BibTeX as people have it', () => {
  const FILE = `Notes at the top mean nothing.
@string{jls = "Journal of Learning Spaces"}
@article(ahola2019,
  author = "Ahola, Riikka and Ludwig van Berg and {Ministry of Schools, Sports} and others",
  title = {Ceilings that {Listen}: {\\"U}ber {\\AA}sa's \\emph{E. coli} -- a study},
  journal = jls # { Extra}, year = 2019, month = mar, number = {2}, pages = {41--58},
  doi = {https://doi.org/10.5555/jls.2019.0207}, shelf = {kept}
)
@book{broken, title = {Never closed, year = 2018
@misc{x, title={Ok 中文 \\'{e}}
`
  it('is read with every field, macros put in, names turned, LaTeX as letters', () => {
    expect(records(FILE)[0]).toMatchObject({
      id: 'ahola2019',
      type: 'journal article',
      title: "Ceilings that Listen: Über Åsa's <i>E. coli</i> – a study",
      authors: ['Ahola, Riikka', 'van Berg, Ludwig', '{Ministry of Schools, Sports}'],
      journal: 'Journal of Learning Spaces Extra',
      year: 2019,
      issued: '2019-03',
      issue: '2',
      pages: '41–58',
      doi: '10.5555/jls.2019.0207',
      extra: { shelf: ['kept'], 'and others': ['author'] },
    })
  })

  it('goes on after an entry that is broken, which keeps its position, its line and its text', () => {
    const { items } = read(FILE)
    expect(items.map((i) => [i.position, i.line, i.record?.id])).toEqual([
      [1, 3, 'ahola2019'],
      [2, 9, undefined],
      [3, 10, 'x'],
    ])
    expect(items[1]!.text).toContain('Never closed')
    expect(items[1]!.problems[0]!.message).toBe('Line 9: the value of "title" does not end.')
    expect(items[2]!.problems[0]!.message).toContain('the closing } is missing')
  })

  it('has the titles and names that citation-js reads, where that is sound (outside check: citation-js 0.8.2)', () => {
    const text = `@article{a, title = {Noise {in} rooms {\\'e}t{\\'e} \\o{} \\c{c}}, author = {Mar{\\'i}a P{\\'e}rez and de la Cruz, Ana and Jan van Berg}, year = {2020}, journal = {Rooms}, volume = {3}, pages = {1--9}}
@inproceedings{b, title = "Quiet \\& loud", author = "Quill, A.", booktitle = "Proceedings of Sound", year = 2018}`
    const theirs = plugins.input.chain(text, { generateGraph: false }) as {
      title: string
      author: {
        family: string
        given: string
        'non-dropping-particle'?: string
        'dropping-particle'?: string
      }[]
    }[]
    const own = records(text)
    expect(own.map((r) => r.title)).toEqual(theirs.map((t) => t.title))
    expect(own.map((r) => r.authors)).toEqual(
      theirs.map((t) =>
        t.author.map((a) =>
          [
            [a['non-dropping-particle'], a['dropping-particle'], a.family].filter(Boolean).join(' '),
            a.given,
          ].join(', '),
        ),
      ),
    )
  })

  it('takes any text through LaTeX and back', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const plain = text.normalize('NFC')
        expect(fromLatex(toLatex(plain))).toBe(plain)
      }),
      { numRuns: 2000 },
    )
  })

  it('of hostile depth ends', () => {
    expect(readAll(`@misc{a, title = {${'{'.repeat(50_000)}`, { format: 'bibtex' }).items).toHaveLength(1)
    const deep = `@misc{a, title = {${'{'.repeat(20_000)}x${'}'.repeat(20_000)}}}`
    expect(readAll(deep, { format: 'bibtex' }).items[0]!.record!.title).toContain('x')
  })
})

describe('CSL-JSON as programs write it', () => {
  it('is read with particles, ranges, numbers as texts, and what it has no place for', () => {
    const [one] = records(
      JSON.stringify({
        items: [
          {
            id: 7,
            type: 'chapter',
            title: 'On rooms',
            author: [{ family: 'Berg', given: 'Jan', 'non-dropping-particle': 'van der', suffix: 'Jr' }],
            editor: [{ literal: 'Institute of Sound' }],
            issued: {
              'date-parts': [
                [2019, 3, 1],
                [2019, 4],
              ],
            },
            volume: 12,
            page: '1-9',
            medium: 'print',
            language: 'en',
          },
        ],
      }),
    )
    expect(one).toMatchObject({
      id: '7',
      type: 'chapter',
      authors: ['van der Berg, Jan, Jr'],
      editors: ['Institute of Sound'],
      year: 2019,
      volume: '12',
      pages: '1–9',
      extra: { medium: ['print'], issued: ['{"date-parts":[[2019,3,1],[2019,4]]}'] },
    })
  })

  it('goes on after an item that is broken', () => {
    const { items } = read('[{"id":"a","title":"A"},\n{"id":"b","title":},\n{"id":"c","title":"C"}]')
    expect(items.map((i) => [i.position, i.line, i.record?.title])).toEqual([
      [1, 1, 'A'],
      [2, 2, undefined],
      [3, 3, 'C'],
    ])
  })
})

describe('a table', () => {
  const FILE =
    'Article Title;Author Names;Pub Year;Source Title;Vol.;Page range;DOI;Lab notes\n' +
    'Noise and reading;Ahola R, Prins D;2019;Rooms;7;41-58;https://doi.org/10.5555/a;shelf 3\n' +
    '"A quiet; corner\nin ""two"" lines";Wessa, Anna;c2021;Rooms;3;1-9;;\n' +
    'Broken;x;y;2;3;4;5;6;7\n'
  it('is read by its headings, whatever parts the cells, and what has no column is kept', () => {
    const { items, shape } = read(FILE)
    expect(shape.table!.columns).toEqual([
      'title',
      'authors',
      'year',
      'journal',
      'volume',
      'pages',
      'doi',
      undefined,
    ])
    expect(items[0]!.record).toMatchObject({
      authors: ['Ahola, R', 'Prins, D'],
      year: 2019,
      pages: '41–58',
      doi: '10.5555/a',
      extra: { 'Lab notes': ['shelf 3'] },
    })
    expect(items[1]!.record).toMatchObject({
      title: 'A quiet; corner\nin "two" lines',
      authors: ['Wessa, Anna'],
      year: 2021,
    })
    expect(items.map((i) => i.line)).toEqual([2, 3, 5])
    expect(items[2]!.problems[0]!.message).toContain('9 cells, the table 8 columns')
  })

  it('has its columns as a person said before', () => {
    const remembered = { headings: new Map([['lab notes', 'notes']]) }
    expect(read(FILE, remembered).items[0]!.record!.notes).toEqual(['shelf 3'])
  })
})

describe('tagged text', () => {
  const record = (n: number): string =>
    [
      `NR  ${100 + n}`,
      `TIT Quiet corners and busy mornings, a longer story, number ${n}`,
      'VRF Ahola, R.',
      '    Prins, D.',
      'ZSR Journal of Learning Spaces',
      `JHR ${2016 + n}`,
      `SEI ${10 + n}-${20 + n}`,
      `KZF ${'Thirty pupils repeated sentences in babble from two and four voices. '.repeat(5)}`,
      'WRT noise',
      '    babble',
      `IDN 10.5555/jls.${n}`,
    ].join('\n')
  const FILE = [1, 2, 3, 4].map(record).join('\n\n')

  it('is understood from what stands in its lines, whatever its tags are called', () => {
    const { items, shape } = read(FILE)
    expect(shape.tags!.fields).toEqual({
      NR: 'id',
      TIT: 'title',
      VRF: 'authors',
      ZSR: 'journal',
      JHR: 'year',
      SEI: 'pages',
      KZF: 'abstract',
      WRT: 'keywords',
      IDN: 'doi',
    })
    expect(items.map((i) => i.record!.id)).toEqual(['101', '102', '103', '104'])
    expect(items[0]!.record).toMatchObject({
      authors: ['Ahola, R.', 'Prins, D.'],
      keywords: ['noise', 'babble'],
      pages: '11–21',
      doi: '10.5555/jls.1',
    })
  })

  it('is read with dashes, with colons, with a tag that ends records, and one that begins them', () => {
    const rows = FILE.replace(/^(NR|[A-Z]{3}) +/gm, '$1 - ')
    const ended = rows.replace(/\n\n/g, '\nXX -\n') + '\nXX -\n'
    const begun = FILE.replace(/\n\n/g, '\n').replace(/^(NR|[A-Z]{3}) +/gm, '$1: ')
    for (const text of [rows, ended, begun])
      expect(records(text).map((r) => [r.id, r.authors.length, r.year])).toEqual([
        ['101', 2, 2017],
        ['102', 2, 2018],
        ['103', 2, 2019],
        ['104', 2, 2020],
      ])
  })

  it('goes where a person says, and keeps a tag of which nobody said anything', () => {
    const { items } = read(FILE, { tags: { WRT: 'notes', ZSR: '' } })
    expect(items[0]!.record!.notes).toEqual(['noise', 'babble'])
  })
})
