import { describe, expect, it } from 'vitest'
import { bestRecord, bestValues } from './best-values'
import { emptyRecord } from './record'
import { versionsOfWork } from './versions-of-work'

const records = [
  {
    id: 'a',
    record: {
      ...emptyRecord('1', 'NOISE AND READING'),
      authors: ['Ahola, R.'],
      year: 2019,
      journal: 'J. Learn. Spaces',
      extra: { C7: ['x'] },
    },
  },
  {
    id: 'b',
    record: {
      ...emptyRecord('9', 'Noise and reading: A study'),
      authors: ['Ahola, Riikka'],
      year: 2020,
      journal: 'Journal of Learning Spaces',
      abstract: 'Twelve rooms.',
      extra: { C7: ['x', 'y'] },
    },
  },
]

describe('the best value of each field', () => {
  it('is whole words before abbreviations, small letters before capitals, more before less, and else the first', () => {
    expect(bestRecord(records)).toMatchObject({
      id: '1',
      title: 'Noise and reading: A study',
      authors: ['Ahola, Riikka'],
      year: 2019,
      journal: 'Journal of Learning Spaces',
      abstract: 'Twelve rooms.',
      extra: { C7: ['x', 'y'] },
    })
  })

  it('is that of the record a person chose, as long as it has one', () => {
    expect(bestRecord(records, { title: 'a', abstract: 'a' })).toMatchObject({
      title: 'NOISE AND READING',
      abstract: 'Twelve rooms.',
    })
  })

  it('says of each whose it is and what the others say', () => {
    const year = bestValues(records).find((v) => v.field.key === 'year')!
    expect([year.best, year.others]).toEqual([{ text: '2019', from: ['a'] }, [{ text: '2020', from: ['b'] }]])
  })

  it('has the type that was said before one that was concluded, and says so only of the one that is shown', () => {
    const record = { ...emptyRecord('1', 'Noise'), journal: 'Rooms' }
    const concluded = { id: 'a', record: { ...record, type: 'chapter', inferred: ['type'] } }
    const saying = { id: 'b', record: { ...record, type: 'journal article' } }
    expect(bestRecord([concluded, saying])).toMatchObject({ type: 'journal article' })
    expect(bestRecord([concluded, saying]).inferred).toBeUndefined()
    expect(bestRecord([concluded, { id: 'c', record }]).inferred).toEqual(['type'])
  })

  it('of two versions is of a preprint and an article', () => {
    const [early, article] = [{ type: 'preprint' }, { type: 'journal article' }]
    expect(versionsOfWork([early, article])).toBe('a preprint and the journal article')
    expect(versionsOfWork([article, article])).toBeUndefined()
  })

  it('is told where it was published by the published version, whichever came first', () => {
    const early = {
      ...emptyRecord('1', 'Noise'),
      type: 'preprint',
      journal: 'Open Preprints in Learning',
      doi: '10.5555/p',
      year: 2018,
      abstract: 'A.',
    }
    const article = {
      ...emptyRecord('2', 'Noise'),
      type: 'journal article',
      journal: 'Rooms',
      doi: '10.5555/a',
      year: 2019,
    }
    expect(
      bestRecord([
        { id: 'a', record: early },
        { id: 'b', record: article },
      ]),
    ).toMatchObject({
      type: 'journal article',
      journal: 'Rooms',
      doi: '10.5555/a',
      year: 2019,
      abstract: 'A.',
    })
  })
})
