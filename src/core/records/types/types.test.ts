import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { readAll, recognise, WRITERS, type Writable } from '../formats/format'
import { emptyRecord, type Rec } from '../record'
import { trials } from '../../base/trials.fixture'
import { TYPE_ROWS } from './table'
import { inferType, oneType, typeOfWords } from '.'

const read = (text: string, format: Parameters<typeof recognise>[2]): Rec[] =>
  readAll(text, recognise(text, {}, format)!).items.flatMap((i) => i.record ?? [])
const ris = (...rows: string[]): Rec => read(`${rows.join('\n')}\nER  - \n`, 'ris')[0]!
const typeIn = (...rows: string[]) => ris(...rows, 'TI  - Rooms', 'AU  - Lund, E.').type

describe('the type of a record', () => {
  it('is what its code says in RIS, however else the file words it', () => {
    for (const [code, words, type] of [
      ['JOUR', 'Article', 'journal article'],
      ['JOUR', 'Journal Article', 'journal article'],
      ['JOUR', 'Review', 'journal article'],
      ['JOUR', 'Editorial', 'journal article'],
      ['JOUR', 'Peer reviewed', 'journal article'],
      ['JOUR', 'Book review', 'book review'],
      ['RPRT', 'Technical', 'report'],
      ['RPRT', 'Working paper', 'working paper'],
      ['THES', 'PhD', 'thesis'],
      ['THES', 'Doctoral dissertation', 'thesis'],
      ['BOOK', 'Monograph', 'book'],
      ['CHAP', 'Book Chapter', 'chapter'],
      ['CONF', 'Proceedings paper', 'conference paper'],
      ['CPAPER', 'Conference Paper', 'conference paper'],
      ['UNPB', 'Preprint', 'preprint'],
      ['ELEC', 'Report', 'web page'],
      ['GEN', 'Zeitschriftenaufsatz', 'journal article'],
    ])
      expect([code, words, typeIn(`TY  - ${code}`, `M3  - ${words}`)]).toEqual([code, words, type])
    expect(ris('TY  - THES', 'TI  - Rooms', 'M3  - PhD').genre).toBe('PhD')
  })

  it('is found in words of four languages, in any case and number', () => {
    for (const [words, type] of [
      ['Journal article', 'journal article'],
      ['Journal Articles', 'journal article'],
      ['ARTICLE', 'journal article'],
      ['Zeitschriftenartikel', 'journal article'],
      ['Artículo de revista', 'journal article'],
      ['Article de revue', 'journal article'],
      ['Thesis', 'thesis'],
      ['Theses', 'thesis'],
      ['Hochschulschrift', 'thesis'],
      ['Tesis doctoral', 'thesis'],
      ['Thèse', 'thesis'],
      ['Report', 'report'],
      ['Conference Paper', 'conference paper'],
      ['Konferenzbeitrag', 'conference paper'],
      ['Book chapter', 'chapter'],
      ['Buchkapitel', 'chapter'],
      ['Journal Article; Peer Reviewed', 'journal article'],
      ['Capítulo de libro', 'chapter'],
      ['Sammelband', 'edited book'],
    ])
      expect([words, typeOfWords(words!)]).toEqual([words, type])
    expect(typeOfWords('Slide deck')).toBeUndefined()
  })

  it('is one word for one type in what is counted, also where records of before have another', () => {
    expect(['Journal Article', 'journal article', 'ARTICLE'].map(oneType)).toEqual(
      Array(3).fill('journal article'),
    )
    expect(oneType('lecture')).toBe('lecture')
  })

  it('is concluded from the rest where the file does not say it, and marked so', () => {
    const base = emptyRecord('1', 'Rooms')
    for (const [more, type] of [
      [{ journal: 'J Rooms', volume: '7', issue: '2', pages: '41–58' }, 'journal article'],
      [
        { journal: 'Handbook of rooms', publisher: 'Harbour Press', pages: '1–9', editors: ['Quill, A.'] },
        'chapter',
      ],
      [{ publisher: 'University of Northwick', genre: 'PhD thesis' }, 'thesis'],
      [{ event: 'Meeting on rooms', journal: 'Proceedings of the meeting' }, 'conference paper'],
      [{ isbn: ['978-0-00-000000-2'], publisher: 'Harbour Press' }, 'book'],
      [{}, undefined],
    ] as const)
      expect(inferType({ ...base, ...(more as Partial<Rec>) })).toBe(type)
    const table = 'Title,Authors,Year,Journal,Volume,Issue,Pages\nRooms,"Lund, Eva",2019,J Rooms,7,2,41-58\n'
    expect(read(table, 'csv')[0]).toMatchObject({ type: 'journal article', inferred: ['type'] })
  })

  it('stays what it was through any chain of formats', () => {
    const type = fc.constantFrom(...TYPE_ROWS.map((row) => row.type), 'lecture', 'podcast episode')
    const chain = fc.array(fc.constantFrom(...(Object.keys(WRITERS) as Writable[])), {
      minLength: 1,
      maxLength: 4,
    })
    const genre = fc.constantFrom(undefined, 'PhD', 'Working paper', 'Technical report 7')
    fc.assert(
      fc.property(type, genre, chain, (own, kind, formats) => {
        const record: Rec = { ...emptyRecord('r1', 'Rooms'), type: own, ...(kind ? { genre: kind } : {}) }
        let now = record
        for (const format of formats) now = read(WRITERS[format]([now]), format)[0]!
        expect({ type: now.type, genre: now.genre }).toEqual({ type: own, genre: kind })
      }),
      { numRuns: trials(400, 4000) },
    )
  })
})
