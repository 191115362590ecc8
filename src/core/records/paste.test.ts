import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  doisIn,
  emptyRecord,
  findRecord,
  orcidCheck,
  readOrcid,
  readPasted,
  readReference,
  recordFinder,
} from '.'

describe('identifiers', () => {
  // ISO 7064 MOD 11-2; the value is the example that the ORCID documentation gives.
  it('accepts 0000-0002-1825-0097 however it is written, and refuses any other last character', () => {
    for (const text of [
      '0000-0002-1825-0097',
      '0000000218250097',
      ' https://example.org/0000-0002-1825-0097',
    ])
      expect(readOrcid(text)).toMatchObject({ ok: true, value: '0000-0002-1825-0097' })
    for (const last of '012345689X')
      expect(readOrcid(`0000-0002-1825-009${last}`)).toMatchObject({
        ok: false,
        problems: [{ code: 'orcid-check' }],
      })
    expect(readOrcid('0000-0002')).toMatchObject({ ok: false, problems: [{ code: 'orcid-form' }] })
  })

  it('finds every single mistyped digit of an ORCID (the promise of MOD 11-2)', () => {
    const digits = fc.array(fc.nat(9), { minLength: 15, maxLength: 15 })
    fc.assert(
      fc.property(digits, fc.nat(14), fc.integer({ min: 1, max: 9 }), (d, at, by) => {
        const right = d.join('')
        const wrong = d.map((n, i) => (i === at ? (n + by) % 10 : n)).join('')
        expect(orcidCheck(wrong)).not.toBe(orcidCheck(right))
      }),
    )
  })

  it('takes DOIs out of sentences without the signs around them (ISO 26324 syntax)', () => {
    expect(doisIn('See https://doi.org/10.5555/Abc-1., and (10.5555/x(2)9), 10.5555/z];')).toEqual([
      '10.5555/abc-1',
      '10.5555/x(2)9',
      '10.5555/z',
    ])
    expect(doisIn('10.5/x and 11.5555/x')).toEqual([])
  })
})

describe('a reference as people write it', () => {
  it.each([
    [
      'Ahola, R., & Prins, D. (2019). Listening in open rooms: A field study. Journal of Learning Spaces, 7(2), 41–58. https://doi.org/10.5555/jls.72',
      {
        title: 'Listening in open rooms: A field study',
        authors: ['Ahola, R.', 'Prins, D.'],
        year: 2019,
        journal: 'Journal of Learning Spaces',
        doi: '10.5555/jls.72',
      },
    ],
    [
      '3. Ahola R, Prins D. Listening in open rooms. J Learn Spaces. 2019;7(2):41-58. doi:10.5555/jls.72',
      {
        title: 'Listening in open rooms',
        authors: ['Ahola, R', 'Prins, D'],
        year: 2019,
        journal: 'J Learn Spaces',
        doi: '10.5555/jls.72',
      },
    ],
    [
      'Ahola, Riikka, and Daan Prins. “Listening in Open Rooms.” Journal of Learning Spaces, vol. 7, no. 2, 2019, pp. 1941–1958.',
      { title: 'Listening in Open Rooms', year: 2019, journal: 'Journal of Learning Spaces' },
    ],
    [
      'Ahola, R. (2019) What do children hear? Journal of Learning Spaces 7, 41.',
      {
        title: 'What do children hear?',
        authors: ['Ahola, R.'],
        year: 2019,
        journal: 'Journal of Learning Spaces',
      },
    ],
  ])('is taken apart: %s', (text, parts) =>
    expect(readReference(text)).toMatchObject({ ...parts, sure: true }),
  )

  it('is kept whole where it cannot be taken apart', () => {
    expect(readReference('the study about babble that Mira told me of')).toEqual({
      title: 'the study about babble that Mira told me of',
      authors: [],
      sure: false,
    })
  })
})

describe('what is pasted for known items', () => {
  it('may mix DOIs, RIS, BibTeX and references, each with its lines', async () => {
    const text = `10.5555/a.1, https://doi.org/10.5555/a.2

TY  - JOUR
TI  - Noise and reading
PY  - 2018
ER  -
@article{x,
  author = {Ahola, Riikka and van den Berg, Jan},
  title = {{Sound} fields in {\\"a}lteren schools},
  journal = {Rooms}, year = 2020, doi = {10.5555/B.7}
}
Prins, D. (2021). Reading under
babble. Rooms, 3, 1–9.
[2] Ahola, R. (2019). Quiet hours. Rooms, 2, 4–9.`
    const items = await readPasted(text)
    expect(items.map((i) => [i.form, ...i.lines, i.title, i.year, i.doi])).toEqual([
      ['DOI', 1, 1, '', undefined, '10.5555/a.1'],
      ['DOI', 1, 1, '', undefined, '10.5555/a.2'],
      ['RIS', 3, 6, 'Noise and reading', 2018, undefined],
      ['BibTeX', 7, 11, 'Sound fields in älteren schools', 2020, '10.5555/b.7'],
      ['reference', 12, 13, 'Reading under babble', 2021, undefined],
      ['reference', 14, 14, 'Quiet hours', 2019, undefined],
    ])
    expect(items[3]!.authors[0]).toBe('Ahola, Riikka')
  })

  it('reads the fields of damaged BibTeX and says that it is damaged', async () => {
    const [item] = await readPasted('@article{x title = {Noise {in} rooms} year = 2019, author = "Ahola, R."')
    expect(item).toMatchObject({ form: 'BibTeX', title: 'Noise in rooms', year: 2019 })
    expect(item!.problems.map((p) => p.code)).toEqual(['bibtex-damaged'])
  })

  it('leaves out no line that holds anything, and never throws', async () => {
    const rows = fc
      .array(
        fc.oneof(
          fc.constantFrom(
            '',
            'TY  - JOUR',
            'ER  - ',
            'TI  - A title',
            '@book{',
            '}',
            'doi: 10.5555/x',
            '1. A (2019). B. C.',
            '@string{a="b"}',
          ),
          fc.string({ unit: 'binary', maxLength: 20 }),
        ),
        { maxLength: 12 },
      )
      .map((r) => r.join('\n'))
    await fc.assert(
      fc.asyncProperty(rows, async (text) => {
        const items = await readPasted(text)
        for (const i of items) expect(i.lines[0]).toBeLessThanOrEqual(i.lines[1])
        if (!/[@{}]|^(?:TY|ER|TI)/m.test(text)) {
          const covered = items.reduce((n, i) => n + i.raw.replace(/\s/g, '').length, 0)
          const wanted = text.replace(/^\uFEFF/, '').replace(/\s/g, '').length
          if (!/10\./.test(text)) expect(covered).toBe(wanted)
        }
      }),
      { numRuns: 300 },
    )
  })
})

describe('finding the record of a known item', () => {
  const finder = recordFinder([
    {
      ...emptyRecord('1', 'Listening in open rooms: a field study'),
      year: 2019,
      doi: 'https://doi.org/10.5555/JLS.72',
    },
    { ...emptyRecord('2', 'Noise'), year: 2019 },
  ])
  it('goes by the DOI, whatever its capitals, then by title with or without subtitle, within a year', () => {
    expect(findRecord(finder, { title: '', doi: '10.5555/jls.72' })).toEqual({ record: 0, by: 'DOI' })
    expect(findRecord(finder, { title: 'Listening in Open Rooms', year: 2020 })).toEqual({
      record: 0,
      by: 'title',
    })
    expect(findRecord(finder, { title: 'Listening in Open Rooms', year: 2022 })).toBeUndefined()
    expect(findRecord(finder, { title: 'Noise' })).toEqual({ record: 1, by: 'title' })
    expect(findRecord(finder, { title: 'Noise in rooms' })).toBeUndefined()
    expect(findRecord(finder, { title: '' })).toBeUndefined()
  })
})
