import { expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { emptyReview, type Source } from '../../review'
import { addDescribed, keepDescription, leaveUndescribed, linesOtherwise } from '..'

const source: Source = { id: 's', kind: 'database', name: 'Database', why: '' }
const at = { review: emptyReview('r'), now: '2026-11-30T10:00:00Z', newId: () => 'n', person: 'p-1' }
const typed = { ...PROFILES.mindmere!, id: 'lantern', name: 'Lantern Index' }

it('keeps a description as a version of its day, and the same again as what it was', () => {
  const [set, named] = keepDescription(at, { source, before: undefined, typed })
  expect(set!.payload).toMatchObject({ id: 'lantern', version: 1, day: '2026-11-30' })
  expect(named!.payload).toMatchObject({ id: 's', name: 'Lantern Index', profileId: 'lantern' })
  const before = { ...typed, version: 1, day: '2026-11-30' }
  const again = { review: { ...at.review, profiles: [before] }, ...{ now: '2026-12-02T10:00:00Z' } }
  expect(keepDescription({ ...at, ...again }, { source, before, typed })).toHaveLength(1)
  const [changed] = keepDescription(
    { ...at, ...again },
    { source, before, typed: { ...typed, sideBySide: 'phrase' } },
  )
  expect(changed!.payload).toMatchObject({ version: 2, day: '2026-12-02' })
})

it('takes a database that was begun and never described out again, and nothing else', () => {
  expect(leaveUndescribed(at, source)).toEqual([{ kind: 'source.remove', payload: { id: 's' } }])
  expect(leaveUndescribed(at, { ...source, name: 'Lantern Index' })).toEqual([])
  expect(leaveUndescribed(at, { ...source, profileId: 'lantern' })).toEqual([])
})

it('lets a description that is here stand when another comes under the same name for itself', () => {
  const here = { ...typed, version: 1, day: '2026-11-30' }
  const review = { ...at.review, profiles: [here] }
  const [same, ...none] = addDescribed({ ...at, review }, { ...here, version: 7 })
  expect(same!.payload).toMatchObject({ kind: 'database', profileId: 'lantern' })
  expect(none).toEqual([])
  const [set, named] = addDescribed({ ...at, review }, { ...here, sideBySide: 'phrase' })
  expect(set!.payload).toMatchObject({ id: 'lantern-2', sideBySide: 'phrase' })
  expect(named!.payload).toMatchObject({ profileId: 'lantern-2' })
})

it('names the lines that another description writes otherwise, as they were and as they become', () => {
  const line = (id: string, text: string) => ({ id, text, limits: [], note: '', drafted: false })
  const review = {
    ...at.review,
    strategies: { s: [line('a', 'noise'), line('b', '"sound field"'), line('c', '#1 AND #2')] },
  }
  const other = { ...typed, quotes: { ...typed.quotes, open: '{', close: '}' } }
  expect(linesOtherwise(review, 's', typed, typed)).toEqual([])
  expect(linesOtherwise(review, 's', typed, other)).toEqual([
    { number: 2, was: '"sound field"', becomes: '{sound field}' },
  ])
})
