import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { languageName, readCql } from '../../query'
import { bestRecord } from '../best-values'
import { emptyRecord, type Rec } from '../record'
import { readAll, recognise, WRITERS, type Shape, type Writable } from './format'

/** Names that every object answers to, and that a table of our own must not. */
const ODD = ['constructor', '__proto__', 'toString', 'valueOf', 'hasOwnProperty', 'prototype']
const first = (text: string, shape: Shape | undefined): Rec => {
  const { items, strays } = readAll(text, shape!)
  expect(strays).toEqual([])
  expect(items[0]?.problems.filter((p) => p.severity === 'error')).toEqual([])
  return items[0]!.record!
}

describe.each(ODD)('the name “%s”', (name) => {
  it('is a column, a field, a type or a variable like any other, and what stands there is kept', () => {
    const csv = `Title,Year,${name}\nRooms,2019,quiet\n`
    expect(first(csv, recognise(csv))!.extra[name]).toEqual(['quiet'])
    const bibtex = `@article{k, title = {Rooms}, ${name} = {quiet}}\n`
    expect(first(bibtex, { format: 'bibtex' }).extra[name.toLowerCase()]).toEqual(['quiet'])
    // A type of BibTeX is a word of letters.
    const typed = `@${name.replace(/_/g, '')}{k, title = {Rooms}, langid = {${name}}}\n`
    expect(first(typed, { format: 'bibtex' })).toMatchObject({ title: 'Rooms', language: name })
    const csl = `[{"id":"1","title":"Rooms","type":"${name}","${name}":"quiet"}]`
    const own = first(csl, { format: 'csl-json' })
    expect(Object.entries(own.extra)).toContainEqual([name, ['quiet']])
    expect(own.type).toBe(name)
    const tagged = `${name}: quiet\nTitle: Rooms\n\n${name}: loud\nTitle: Halls\n`
    const shape: Shape = { format: 'tagged', tags: { form: 'colon', fields: { Title: 'title' } } as never }
    for (const { record } of readAll(tagged, shape).items) expect(record?.title).toMatch(/Rooms|Halls/)
    expect(first(`TY  - ${name}\nTI  - Rooms\nER  - \n`, { format: 'ris' }).title).toBe('Rooms')
  })

  it('goes through every format and comes back', () => {
    const record = emptyRecord('1', 'Rooms')
    record.extra[name] = ['quiet']
    const best = bestRecord([
      { id: 'a/1', record },
      { id: 'b/1', record: { ...record, id: '2' } },
    ])
    expect(Object.entries(best.extra)).toEqual([[name, ['quiet']]])
    for (const format of Object.keys(WRITERS) as Writable[]) {
      const text = WRITERS[format]([record])
      const back = first(text, recognise(text))
      expect(Object.values(back.extra).flat(), format).toContain('quiet')
    }
  })

  it('is no language, no index and no sign', () => {
    expect(languageName(name)).toBe(name)
    expect(() => readCql(`${name} = noise`)).not.toThrow()
    const titled = `@article{k, title = {Rooms &${name}; {\\${name.replace(/_/g, '')}} halls}}\n`
    expect(typeof first(titled, { format: 'bibtex' }).title).toBe('string')
  })
})

describe('control characters in a file', () => {
  it('are left out of its records with a word, in every format, and a break becomes a space', () => {
    const dirty = 'Rooms\u000bthat hum\u0000 and\u001f ring'
    const texts: Record<string, string> = {
      csv: `Title,Year\n${dirty},2019\n`,
      ris: `TY  - JOUR\nTI  - ${dirty}\nER  - \n`,
      bibtex: `@article{k, title = {${dirty}}}\n`,
      'csl-json': JSON.stringify([{ id: '1', title: dirty, type: 'article-journal' }]),
    }
    for (const [format, text] of Object.entries(texts)) {
      const { items } = readAll(text, format === 'csv' ? recognise(text)! : ({ format } as Shape))
      expect(items[0]!.record!.title, format).toBe('Rooms that hum and ring')
      expect(items[0]!.problems.map((p) => p.message).join(), format).toMatch(/3 control characters/)
    }
  })

  it('leave records without them as they are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (title) => {
        fc.pre(title.trim() !== '')
        const text = JSON.stringify([{ id: '1', title, type: 'book' }])
        const { items } = readAll(text, { format: 'csl-json' })
        if (!items[0]!.problems.some((p) => p.code === 'control-characters'))
          expect(items[0]!.record!.title).toBe(title)
      }),
    )
  })
})
