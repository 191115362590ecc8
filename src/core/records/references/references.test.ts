import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../../base/trials.fixture'
import { emptyRecord, type Rec } from '../record'
import { hintsFor, holdsSession } from './hints'
import { plainReference, referenceList, safeHtml } from './list'
import { readStyle } from './own-style'
import { styleEngine } from './style-engine'

const article: Rec = {
  ...emptyRecord('a', 'Ceilings that listen: Twelve classrooms'),
  type: 'journal article',
  authors: ['Ahola, Riikka', 'van Berg, Jan'],
  year: 2019,
  journal: 'Journal of Learning Spaces',
  volume: '7',
  issue: '2',
  pages: '41–58',
  doi: '10.5555/jls.2019.0207',
}
const chapter: Rec = {
  ...emptyRecord('b', 'Rooms that hum'),
  type: 'chapter',
  authors: ['{Institute of Sound}'],
  editors: ['Quill, A.'],
  journal: 'Handbook of quiet',
  publisher: 'Harbour Press',
  pages: '1–9',
  year: 2020,
}

describe('references', () => {
  it('are set as the style has them, sorted (outside check: Publication Manual of the APA, 7th edition, ch. 9 and 10)', () => {
    expect(referenceList([chapter, article], styleEngine('apa')).map((r) => r.text)).toEqual([
      'Ahola, R., & van Berg, J. (2019). Ceilings that listen: Twelve classrooms. Journal of Learning Spaces, 7(2), 41–58. https://doi.org/10.5555/jls.2019.0207',
      'Institute of Sound. (2020). Rooms that hum. In A. Quill (Ed.), Handbook of quiet (pp. 1–9). Harbour Press.',
    ])
  })

  it('keep italics and no other tag, whatever a title holds', () => {
    const title = '<script>alert(1)</script> <i>E. coli</i> <img src=x onerror=alert(1) & <b>'
    const [one] = referenceList([{ ...article, title }], styleEngine('apa'))
    expect(one!.html.match(/<[^>]*>/g)!.every((t) => /^<\/?(?:i|b|sup|sub)>$/.test(t))).toBe(true)
    expect(one!.html).toContain('<i>E. coli</i>')
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            '<i>',
            '</i>',
            '<div',
            '>',
            '<',
            '<img ',
            'x',
            '"',
            '<a href="javascript:x">',
            '<!--',
          ),
          { maxLength: 12 },
        ),
        (parts) => {
          const left = safeHtml(parts.join('')).replace(/<\/?(?:i|b|sup|sub)>/g, '')
          expect(left).not.toMatch(/[<>]/)
        },
      ),
      { numRuns: 1000 },
    )
  })

  it('have no address that lets only one person in', () => {
    for (const url of [
      'https://example.org/a;jsessionid=12AB',
      'https://example.org/a?sid=99',
      'https://example.org.proxy.uni.example/a',
    ]) {
      expect(holdsSession(url)).toBe(true)
      const { doi: _doi, ...bare } = article
      expect(referenceList([{ ...bare, url }], styleEngine('apa'))[0]!.text).not.toContain('example.org')
    }
    expect(holdsSession('https://example.org/proxy-methods?id=9')).toBe(false)
  })

  it('hold the works that were asked for and no others, whatever was asked of the same processor before', () => {
    const surnames = ['Ahola', 'Quill', 'Marrow']
    const record = fc
      .record({ who: fc.nat(2), year: fc.constantFrom(2019, 2020), title: fc.nat(5) })
      .map(({ who, year, title }): Rec => ({
        ...article,
        title: `Study ${title} of rooms`,
        authors: [`${surnames[who]}, R.`],
        year,
        doi: `10.5555/${who}.${year}.${title}`,
      }))
    for (const style of ['apa', 'vancouver', 'harvard1'] as const) {
      const kept = styleEngine(style)
      fc.assert(
        fc.property(fc.array(record, { maxLength: 6 }), (records) => {
          const list = referenceList(records, kept)
          expect(list.map((r) => r.at).sort()).toEqual(records.map((_, i) => i))
          for (const { at, text } of list) expect(text).toContain(records[at]!.title)
          expect(list).toEqual(referenceList(records, styleEngine(style)))
        }),
        { numRuns: trials(3, 40) },
      )
    }
  })

  it('say where a human eye is wanted', () => {
    expect(hintsFor(article)).toEqual([])
    expect(
      hintsFor({
        ...emptyRecord('x', 'NOISE IN CLASSROOMS.'),
        type: 'journal article',
        journal: 'J. Learn. Spaces',
      }),
    ).toEqual([
      'title in capitals throughout',
      'the title ends with a full stop',
      'no author',
      'no year',
      'journal abbreviated',
      'no volume',
      'no pages',
      'no DOI',
    ])
    expect(hintsFor({ ...article, title: 'The Effect of Noise on Children in School' })).toContain(
      'every word of the title begins with a capital',
    )
  })

  it('are plain without their tags', () => {
    expect(plainReference('<i>Rooms &#38; halls</i>, 7')).toBe('Rooms & halls, 7')
  })

  it('are set in the language of their style: the British one has its own quotation marks and order of dates', () => {
    const question = {
      ...article,
      title: 'Who listens?',
      accessed: '2024-01-05',
      url: 'https://example.org/a',
    }
    const { doi: _doi, ...bare } = question
    const text = referenceList([bare], styleEngine('harvard1'))[0]!.text
    expect(text).toContain('‘Who listens?’')
    expect(text).toContain('5 January 2024')
    expect(text).not.toContain('“')
  })

  it('have ranges of years, and what is in press, as the record says them', () => {
    const of = (more: Partial<Rec>) => referenceList([{ ...article, ...more }], styleEngine('apa'))[0]!.text
    expect(of({ extra: { issued: ['{"date-parts":[[2019],[2020]]}'] } })).toContain('(2019–2020)')
    expect(of({ extra: { date: ['2019/2020'] } })).toContain('(2019–2020)')
    const { year: _year, ...undated } = article
    expect(
      referenceList([{ ...undated, extra: { year: ['in press'] } }], styleEngine('apa'))[0]!.text,
    ).toContain('(in press)')
  })

  it('are set as what the record must be where it says no type: volume, issue and pages are not lost', () => {
    const { type: _type, ...untyped } = article
    expect(referenceList([untyped], styleEngine('apa'))[0]!.text).toContain(
      'Journal of Learning Spaces, 7(2), 41–58',
    )
    expect(referenceList([untyped], styleEngine('vancouver'))[0]!.text).toContain('7(2):41')
  })

  it('are set by any style that a person brings in, or it is said why not', () => {
    const whole = `<?xml version="1.0"?><style xmlns="http://purl.org/net/xbiblio/csl" class="in-text" version="1.0" default-locale="de-DE">
<info><title>Own &amp; numbered</title><id>x</id><updated>2020-01-01T00:00:00+00:00</updated></info>
<citation><layout><text variable="citation-number"/></layout></citation>
<bibliography><layout><text variable="citation-number" prefix="[" suffix="] "/><names variable="author"><name and="text"/></names><text variable="title" prefix=", "/></layout></bibliography></style>`
    const read = readStyle(whole)
    expect(read.ok && read.value.title).toBe('Own & numbered')
    expect(referenceList([article], styleEngine({ text: whole }))[0]!.text).toBe(
      '[1] Riikka Ahola und Jan van Berg, Ceilings that listen: Twelve classrooms',
    )
    for (const [text, code] of [
      ['{}', 'style-form'],
      [whole.replace('</style>', ''), 'style-form'],
      [
        whole.replace('<info>', '<info><link href="https://example.org/p" rel="independent-parent"/>'),
        'style-dependent',
      ],
      [whole.replace(/<bibliography>[^]*<\/bibliography>/, ''), 'style-bibliography'],
      [`<!DOCTYPE x [<!ENTITY a "b">]>${whole}`, 'style-entities'],
    ] as const) {
      const refused = readStyle(text)
      expect(refused.ok ? 'taken' : refused.problems[0]!.code).toBe(code)
    }
  })
})
