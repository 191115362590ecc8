import { describe, expect, it } from 'vitest'
import { parse } from '../query'
import { Scanned, wordsInContext, type Document } from '.'

const TITLE = 'The cost of background noise and of other noise in classrooms with hard floors and bare walls'
const document: Document = { fields: { title: [TITLE] }, headings: [], classes: [], facets: {} }

describe('words in context', () => {
  it('show each match between whole words, and a phrase as one', () => {
    const hits = new Scanned(document).hits(parse('"background noise" OR floors').tree!)
    expect(wordsInContext(hits, () => TITLE, 16)).toEqual([
      {
        field: 'title',
        value: 0,
        before: 'The cost of ',
        match: 'background noise',
        behind: ' and of other',
      },
      { field: 'title', value: 0, before: 'with hard ', match: 'floors', behind: ' and bare walls' },
    ])
  })
})
