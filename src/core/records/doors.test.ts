import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { EncodingGuess, oddLines, textFromBytes } from './decode'
import { lackOf, readAll, recognise, WRITERS, type Writable } from './formats/format'
import { openNames, rowsOf } from './formats/table'
import { fieldOfHeading } from './headings'
import { kindOfFile, kindWords } from './kind-of-file'
import { anyRecord } from './formats/record.arbitrary'

const utf8 = (text: string): number[] => [...new TextEncoder().encode(text)]
const guess = (bytes: number[]) => {
  const found = new EncodingGuess()
  found.push(Uint8Array.from(bytes))
  return found.end()
}
const read = (bytes: number[], piece = bytes.length || 1) => {
  const decoder = textFromBytes('utf-8')
  let text = ''
  for (let i = 0; i < bytes.length; i += piece)
    text += decoder.push(Uint8Array.from(bytes.slice(i, i + piece)))
  return { text: text + decoder.end(), odd: decoder.odd }
}

describe('bytes that are not what the rest of their file is', () => {
  const RIS = 'TY  - JOUR\nTI  - Größe und Klang\nAU  - Müllner, É.\nER  - \n'

  it('do not make the file another: one bad byte is marked and named by its line, and every accent stays', () => {
    const bytes = [...utf8(RIS), ...utf8('TY  - JOUR\nTI  - Bad é '), 0x96, ...utf8(' here\nER  - \n')]
    expect(guess(bytes)).toMatchObject({
      encoding: 'utf-8',
      sure: false,
      why: expect.stringContaining('(line 6)'),
    })
    const { text, odd } = read(bytes)
    expect(text).toContain('Größe und Klang')
    expect(text).toContain('Bad é \uFFFD here')
    expect(oddLines(odd).map((p) => p.message)).toEqual([
      'Line 6: a byte that is no sign of UTF-8; it stands as \uFFFD.',
    ])
  })

  it('are read as the older encoding where their line has no sign of UTF-8: two files that were put together', () => {
    const bytes = [
      ...utf8(RIS),
      ...utf8('TI  - caf'),
      0xe9,
      0x20,
      0x96,
      0x20,
      ...utf8('na'),
      0xef,
      ...utf8('ve\n'),
    ]
    const { text, odd } = read(bytes)
    expect(text).toBe(`${RIS}TI  - café – naïve\n`)
    expect(odd).toEqual([{ line: 5, as: 'windows-1252' }])
  })

  it('are one bad place where a file is cut inside a sign', () => {
    const cut = utf8('TI  - Größe und Höhe').slice(0, -4).concat([0xc3])
    expect(guess(cut)).toMatchObject({ encoding: 'utf-8', sure: false })
    expect(read(cut).text).toBe('TI  - Größe und H\uFFFD')
  })

  it('make the same text in pieces of any length, and the readers of before had every bad byte marked', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(0x41, 0x0a, 0xc3, 0xa9, 0xe9, 0xff, 0xef, 0xbb, 0xbf), { maxLength: 40 }),
        fc.integer({ min: 1, max: 5 }),
        (bytes, piece) => {
          expect(read(bytes, piece)).toEqual(read(bytes))
          const old = textFromBytes('utf-8', true)
          expect(old.push(Uint8Array.from(bytes)) + old.end()).toBe(
            new TextDecoder().decode(Uint8Array.from(bytes)),
          )
        },
      ),
      { numRuns: trials(300, 3000) },
    )
  })
})

describe('a file without records', () => {
  const bytes = (text: string): Uint8Array => Uint8Array.from([...text].map((c) => c.charCodeAt(0)))
  it('is called what it is, with the way to one that can be read', () => {
    for (const [text, is] of [
      ['', 'an empty file'],
      ['PK\x03\x04....word/document.xml', 'a document of a word processor'],
      ['PK\x03\x04....xl/workbook.xml', 'a sheet of a table program'],
      ['PK\x03\x04....export.ris', 'a zip archive'],
      ['\x1f\x8b\x08', 'a gzip archive'],
      ['%PDF-1.7', 'a PDF'],
      ['{\\rtf1', 'a rich text'],
      ['<!DOCTYPE html><html>', 'a page of HTML'],
      ['\n <html lang="en">', 'a page of HTML'],
      ['<?xml version="1.0"?>', 'a file of XML'],
    ] as const)
      expect(kindOfFile(bytes(text))?.is).toBe(is)
    expect(kindWords(bytes('%PDF-1.7'))).toMatch(/^This is a PDF, .*RIS, BibTeX or CSV\.$/)
  })
  it('is never seen in one that has some', () => {
    fc.assert(
      fc.property(fc.constantFrom(...(Object.keys(WRITERS) as Writable[])), anyRecord, (format, record) => {
        expect(kindOfFile(new TextEncoder().encode(WRITERS[format]([record])))).toBeUndefined()
      }),
    )
  })
})

describe('a table', () => {
  it('has its columns by their headings in six languages', () => {
    for (const [headings, fields] of [
      [
        'Titel;Autoren;Jahr;Zeitschrift;Band;Heft;Seiten;Zusammenfassung',
        'title authors year journal volume issue pages abstract',
      ],
      [
        'Título;Autores;Año;Revista;Volumen;Número;Páginas;Resumen',
        'title authors year journal volume issue pages abstract',
      ],
      [
        'Titre;Auteurs;Année;Revue;Tome;Numéro;Pages;Résumé',
        'title authors year journal volume issue pages abstract',
      ],
      [
        'Título;Autores;Ano;Revista;Volume;Número;Páginas;Resumo',
        'title authors year journal volume issue pages abstract',
      ],
      [
        'Titolo;Autori;Anno;Rivista;Volume;Fascicolo;Pagine;Riassunto',
        'title authors year journal volume issue pages abstract',
      ],
      ['Schlagwörter;Dokumenttyp;Sprache;Verlag;Herausgeber', 'keywords type language publisher editors'],
    ])
      expect(headings!.split(';').map(fieldOfHeading).join(' ')).toBe(fields)
    const text = 'Titel;Autoren;Jahr\nGröße;Lund, Eva;2019\n'
    expect(readAll(text, recognise(text)!).items[0]!.record).toMatchObject({
      title: 'Größe',
      year: 2019,
      authors: ['Lund, Eva'],
    })
  })

  it('lacks a title where no column is one', () => {
    const shape = recognise('Name of the work,Authors,Year\nRooms,"Lund, E.",2019\n')!
    expect(lackOf(shape)).toBe('No column is the title: say which one is.')
    expect(
      lackOf({ ...shape, table: { ...shape.table!, columns: ['title', 'authors', 'year'] } }),
    ).toBeUndefined()
  })

  it('asks once who is named where commas leave it open, and reads the column as is said', () => {
    const text = 'Title,Authors\nRooms,"Okafor Mensah, Chidi Abena"\nHalls,"Mensah Okafor, Abena Chidi"\n'
    const shape = recognise(text)!
    const [open] = openNames(shape.table!, rowsOf(text, ',').slice(1))
    expect(open).toEqual({
      column: 1,
      cell: 'Okafor Mensah, Chidi Abena',
      readings: { between: ['Mensah, Okafor', 'Abena, Chidi'], within: ['Okafor Mensah, Chidi Abena'] },
    })
    const said = { ...shape, table: { ...shape.table!, commas: { 1: 'within' as const } } }
    expect(readAll(text, said).items.map((i) => i.record!.authors)).toEqual([
      ['Okafor Mensah, Chidi Abena'],
      ['Mensah Okafor, Abena Chidi'],
    ])
    // Where other cells part persons by semicolons, a comma stands within a name.
    const lists = 'Title,Authors\nRooms,"Lund, Eva; Prins, Dirk"\nHalls,"Okafor Mensah, Chidi Abena"\n'
    expect(openNames(recognise(lists)!.table!, rowsOf(lists, ',').slice(1))).toEqual([])
    expect(readAll(lists, recognise(lists)!).items[1]!.record!.authors).toEqual([
      'Okafor Mensah, Chidi Abena',
    ])
  })
})

describe('RIS that is not quite RIS', () => {
  it('is read where its lines are indented, in small letters, or have tabs', () => {
    for (const text of [
      '  TY  - JOUR\n  TI  - Rooms\n  AU  - Lund, E.\n  ER  - \n  TY  - JOUR\n  TI  - Halls\n  ER  - \n',
      'ty  - JOUR\nti  - Rooms\nau  - Lund, E.\ner  - \nty  - JOUR\nti  - Halls\ner  - \n',
      'TY\t-\tJOUR\nTI\t-\tRooms\nAU\t-\tLund, E.\nER\t-\t\nTY\t-\tJOUR\nTI\t-\tHalls\nER\t-\t\n',
    ]) {
      expect(recognise(text)?.format).toBe('ris')
      const { items, strays } = readAll(text, { format: 'ris' })
      expect(items.map((i) => i.record!.title)).toEqual(['Rooms', 'Halls'])
      expect(strays).toEqual([])
    }
  })
})
