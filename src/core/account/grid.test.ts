import mammoth from 'mammoth'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { emptyReview, type Review } from '../review'
import { textTerm } from '../review/term.fixture'
import { toWord } from './documents/word'
import { gridCsv, toMarkdown, worksheet, worksheetTree } from '.'

const review: Review = {
  ...emptyReview('r'),
  title: 'Sound | rooms',
  question: 'What does noise do?',
  framework: 'PEO',
  concepts: [{ id: 'b', letter: 'B', name: 'Sound', role: 'Exposure', essential: true, note: '' }],
  sources: [
    { id: 'g', kind: 'database', name: 'Girder & Sound Abstracts', profileId: 'girder', why: 'rooms' },
    { id: 'f', kind: 'database', name: 'Fernhollow Education Index', profileId: 'fernhollow', why: '' },
  ],
  limits: [{ id: 'l', limit: { kind: 'peer reviewed' }, reason: 'judged by others' }],
  terms: [
    textTerm('1', { expression: '"sound field", loud' }),
    textTerm('2', { expression: '=SUM(A1)', status: 'dropped', reason: 'a "joke"' }),
    textTerm('3', {
      sourceId: 'g',
      kind: 'heading',
      expression: 'Room acoustics',
      withNarrower: true,
      mainFocus: true,
    }),
    textTerm('4', { conceptId: 'gone' }),
  ],
  gaps: [{ id: 'x', conceptId: 'b', sourceId: 'f', about: 'reverberation' }],
}
const sheet = worksheet(review, (s) => PROFILES[s.profileId ?? ''])

describe('the grid as a table', () => {
  it('is RFC 4180 that another reader takes apart again, with reasons and origins', () => {
    const csv = gridCsv(review)
    expect(csv.split('\r\n')).toHaveLength(5)
    const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true })
    expect(errors).toEqual([])
    expect(data).toHaveLength(3)
    expect(data[0]).toMatchObject({ concept: 'B', source: 'every source', term: '"sound field", loud' })
    expect(data[1]).toMatchObject({ status: 'dropped', reason: 'a "joke"' })
    expect(data[2]).toMatchObject({
      source: 'Girder & Sound Abstracts',
      'with narrower': 'yes',
      'main focus': 'yes',
    })
  })
  it('lets no cell become a formula in a spreadsheet', () => {
    expect(gridCsv(review)).toContain("'=SUM(A1)")
  })
})

describe('the worksheet', () => {
  it('says how each source honours a limit, and where a vocabulary has nothing', () => {
    const limits = sheet.parts.find((p) => p.title === 'Limits')!.table!
    expect(limits.rows[0]).toEqual([
      'peer reviewed',
      'judged by others',
      'stood in for by document type journal article',
      expect.stringMatching(/as planned|set on the screen/),
    ])
    const words = toMarkdown(worksheetTree(sheet))
    expect(words).toContain('Room acoustics (with narrower, main focus)')
    expect(words).not.toContain('SUM')
    expect(words).toContain('Broken down by PEO.')
  })
  it('marks a vocabulary that has nothing, beside one that has headings', () => {
    const both = worksheet(
      {
        ...review,
        terms: [...review.terms, textTerm('5', { conceptId: 'gone', sourceId: 'f', kind: 'heading' })],
      },
      () => undefined,
    )
    expect(both.parts.find((p) => p.title === 'Words and headings')!.table!.rows[0]).toContain(
      'nothing in this vocabulary',
    )
  })
  it('is a Word file that an independent reader opens, with the same words', async () => {
    const { value } = await mammoth.extractRawText({
      buffer: Buffer.from(await toWord(worksheetTree(sheet))),
    })
    for (const text of [
      'What does noise do?',
      'Room acoustics (with narrower, main focus)',
      'judged by others',
    ])
      expect(value).toContain(text)
  })
  it('of an empty review has nothing but its question', () => {
    expect(worksheet(emptyReview('e'), () => undefined).parts.map((p) => p.title)).toEqual(['Question'])
  })
})
