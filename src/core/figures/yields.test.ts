import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord, type Rec } from '../records'
import { emptyReview, type Review } from '../review'
import { textTerm } from '../review/term.fixture'
import { termYields } from '.'

const review: Review = {
  ...emptyReview('r'),
  terms: [
    textTerm('noise', { expression: 'noise' }),
    textTerm('stem', { expression: 'listen*' }),
    textTerm('phrase', { expression: '"noise in rooms"' }),
    textTerm('near', { expression: 'noise NEAR/3 rooms' }),
    textTerm('heading', { kind: 'heading', expression: 'Classroom Acoustics' }),
  ],
}
const WORDS = ['noise', 'in', 'rooms', 'listen', 'listening', 'reads']
/** A work found in one source: its title of these words, with the heading or without. */
const works = fc.array(
  fc.tuple(fc.array(fc.constantFrom(...WORDS), { maxLength: 6 }), fc.boolean()).map(([words, headed]) => {
    const record = {
      ...emptyRecord('1', words.join(' ')),
      headings: headed ? [{ label: 'Classroom Acoustics', main: false }] : [],
    }
    return { record, sources: ['s'], read: [{ sourceId: 's', record }] }
  }),
  { maxLength: 30 },
)

describe('what terms find among works', () => {
  it('is the same however many works are laid out at once', () => {
    fc.assert(
      fc.property(works, fc.integer({ min: 1, max: 31 }), (all, most) => {
        expect([...termYields(review, all, most)]).toEqual([...termYields(review, all)])
      }),
      { numRuns: 60, endOnFailure: true },
    )
  })

  it('is a number for each term, counted work by work', () => {
    fc.assert(
      fc.property(
        works.filter((all) => all.length > 0),
        (all) => {
          const titles = all.map((w) => w.record.title.split(' '))
          const found = termYields(review, all)
          expect(found.get('noise')).toBe(titles.filter((t) => t.includes('noise')).length)
          expect(found.get('stem')).toBe(titles.filter((t) => t.some((w) => w.startsWith('listen'))).length)
          expect(found.get('phrase')).toBe(
            titles.filter((t) => / noise in rooms /.test(` ${t.join(' ')} `)).length,
          )
          expect(found.get('heading')).toBe(all.filter((w) => w.record.headings.length).length)
        },
      ),
      { numRuns: 60, endOnFailure: true },
    )
  })

  it('is nothing where there are no works, and where no term is in use', () => {
    expect(termYields(review, []).size).toBe(0)
    expect(
      termYields(emptyReview('r'), [{ record: emptyRecord('1', 'noise'), sources: ['s'], read: [] }]).size,
    ).toBe(0)
  })

  it('counts a heading in the records of the source whose thesaurus it is from, whatever a work is shown by', () => {
    const headed = (sourceId: string, ...labels: string[]): { sourceId: string; record: Rec } => ({
      sourceId,
      record: { ...emptyRecord('1', 'Noise'), headings: labels.map((label) => ({ label, main: false })) },
    })
    const [fen, mind] = [headed('fen', 'Listening'), headed('mind', 'Hearing', 'Rooms', 'Noise')]
    const of = (sourceId: string, expression: string): Review['terms'][number] =>
      textTerm(`${sourceId} ${expression}`, { kind: 'heading', expression, sourceId })
    const all = [
      { record: mind.record, sources: ['fen', 'mind'], read: [fen, mind] },
      { record: mind.record, sources: ['mind'], read: [mind] },
    ]
    const terms = [of('fen', 'Listening'), of('fen', 'Hearing'), of('mind', 'Hearing'), of('all', 'Rooms')]
    const sources = [...new Set(terms.map((t) => t.sourceId))].map((id) => ({
      id,
      kind: 'database' as const,
      name: id,
      why: '',
    }))
    expect([...termYields({ ...review, terms, sources }, all)]).toEqual([
      ['fen Listening', 1],
      ['fen Hearing', 0],
      ['mind Hearing', 2],
      ['all Rooms', 2],
    ])
  })

  it('counts a word for one source among the works found there, and a heading of main focus where it is one', () => {
    const work = (sources: string[], main: boolean) => {
      const record: Rec = { ...emptyRecord('1', 'Noise'), headings: [{ label: 'Listening', main }] }
      return { record, sources, read: sources.map((sourceId) => ({ sourceId, record })) }
    }
    const all = [work(['fen'], true), work(['mind'], false), work(['mind', 'fen'], false)]
    const heading = { kind: 'heading' as const, expression: 'Listening', sourceId: 'fen' }
    const terms = [
      textTerm('anywhere'),
      textTerm('in fen', { sourceId: 'fen' }),
      textTerm('heading', heading),
      textTerm('main', { ...heading, mainFocus: true }),
    ]
    const sources = ['fen', 'mind'].map((id) => ({ id, kind: 'database' as const, name: id, why: '' }))
    expect([...termYields({ ...review, terms, sources }, all)]).toEqual([
      ['anywhere', 3],
      ['in fen', 2],
      ['heading', 2],
      ['main', 1],
    ])
  })
})
