import { expect, it } from 'vitest'
import { deedsAt } from '.'
import { journalOf } from './journal.fixture'

const SOURCE = {
  kind: 'source.set',
  payload: { id: 's', kind: 'database', name: 'Pine Index', why: '' },
} as never
const JOURNAL = journalOf([
  { kind: 'review.create', payload: { id: 'r', title: 'R' } },
  SOURCE,
  { kind: 'question.set', payload: { text: 'How does noise bear on reading?' } } as never,
  {
    kind: 'line.add',
    payload: { sourceId: 's', line: { id: 'l', text: 'noise', note: '', limits: [], drafted: true }, at: 0 },
  } as never,
  {
    kind: 'line.change',
    payload: { sourceId: 's', id: 'l', text: 'noise OR babble', note: 'wider', limits: [] },
  } as never,
])

it('What was done to a thing is counted by its place, of a source with its sheet, and of a stage all that was done there', () => {
  const kinds = (anchor?: string, stage: 'question' | 'searches' = 'searches') => {
    const { count, last } = deedsAt(JOURNAL, { stage, ...(anchor ? { anchor } : {}) })
    return [count, last?.kind]
  }
  expect(kinds('source:s')).toEqual([3, 'line.change'])
  expect(kinds('line:l')).toEqual([2, 'line.change'])
  expect(kinds('source:other')).toEqual([0, undefined])
  expect(kinds(undefined, 'question')[0]).toBeGreaterThanOrEqual(2)
})
