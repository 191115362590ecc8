import { describe, expect, it } from 'vitest'
import { emptyRecord, whoAndWhen } from '../record'
import { NAMES_CORPUS } from './corpus.fixture'
import { readNames } from './list'

const said = (text: string): string => {
  const { names, others } = readNames(text)
  return [
    ...names.map(({ name, role }) => `${name}${role ? ` ${role === 'editor' ? 'ed' : 'tr'}` : ''}`),
    ...(others ? ['…'] : []),
  ].join(' | ')
}

describe('names in one text', () => {
  const classes = [...new Set(NAMES_CORPUS.map((c) => c.of))]
  it('are a corpus of five hundred', () => expect(NAMES_CORPUS.length).toBeGreaterThanOrEqual(500))
  it.each(classes)('are read as a person reads them, 97 of 100 at least: %s', (of) => {
    const own = NAMES_CORPUS.filter((c) => c.of === of)
    const wrong = own.filter((c) => said(c.text) !== c.reading.join(' | '))
    const told = wrong.map((c) => `${c.text} → ${said(c.text)}, not ${c.reading.join(' | ')}`).join('\n')
    expect(1 - wrong.length / own.length, told).toBeGreaterThanOrEqual(0.97)
  })
})

it('a body with a comma in its name is one author in lists', () => {
  const record = {
    ...emptyRecord('1'),
    authors: ['{Ministry of Education, Office for Schools}', 'Prins, Dirk'],
    year: 2019,
  }
  expect(whoAndWhen(record)).toBe('Ministry of Education, Office for Schools & Prins (2019)')
})
