import { expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { emptyReview, type Source } from '../../review'
import { keepDescription, leaveUndescribed } from '..'

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
