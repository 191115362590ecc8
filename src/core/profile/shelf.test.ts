import { expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { describedSince, readShelf, withDescription, type Profile } from '.'

const lantern = (more: Partial<Profile>): Profile => ({
  ...PROFILES.mindmere!,
  id: 'lantern',
  name: 'Lantern Index',
  ...more,
})
const first = lantern({ version: 1, day: '2026-11-03' })
const later = lantern({ version: 2, day: '2026-11-20', sideBySide: 'phrase' })

it('keeps of each database the youngest description, in whatever order they come', () => {
  const oast = { ...first, id: 'oast', name: 'Oast Index' }
  expect(withDescription(withDescription(withDescription([], later), oast), first)).toEqual([later, oast])
  expect(withDescription(withDescription([first], later), oast)).toEqual([later, oast])
  const shelf = [later]
  expect(withDescription(shelf, first)).toBe(shelf)
  expect(withDescription(shelf, later)).toBe(shelf)
})

it('offers one that is younger and says something else, and no other', () => {
  expect(describedSince([later], first)).toBe(later)
  expect(describedSince([first], later)).toBeUndefined()
  expect(describedSince([{ ...first, version: 3 }], first)).toBeUndefined()
  expect(describedSince([], first)).toBeUndefined()
})

it('passes over what is no description', () => {
  expect(readShelf([first, { id: 'x' }, 7]).map((p) => p.id)).toEqual(['lantern'])
  expect(readShelf(undefined)).toEqual([])
  expect(readShelf('lantern')).toEqual([])
})
