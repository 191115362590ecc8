import { describe, expect, it } from 'vitest'
import { describedProfile, draftOf, readProfile } from '@/core/profile'
import { PROFILES } from '@/standins/profiles'
import { PARTS, placeWords, within, type TextKey } from './profile-parts'

const problemsOf = (key: TextKey, value: string): Map<string, string> => {
  const draft = { ...draftOf(PROFILES.mindmere!), code: 'c{code}', line: 's{n}', [key]: value }
  const read = readProfile(JSON.parse(JSON.stringify(describedProfile(draft))))
  return new Map(read.ok ? [] : read.problems.map((p) => [String(p.at), p.message]))
}
// Words of any length, and a range that is written as anybody likes.
const FREE: readonly TextKey[] = ['name', 'platform', 'coverage', 'help', 'linesRange', 'stopWords']

describe('the parts of a description', () => {
  it.each((Object.keys(PARTS) as TextKey[]).filter((key) => !FREE.includes(key)))(
    'say what is wrong with %s beside it, by the name that the form gives it',
    (key) => {
      const problems = problemsOf(key, 'no form, no sign and no number'.repeat(9))
      expect(within(problems, PARTS[key].place)).toBeDefined()
      expect(new Set([...problems.keys()].map(placeWords))).toEqual(new Set([PARTS[key].label]))
    },
  )

  it('take words of any length for what is only said', () => {
    for (const key of FREE) expect(problemsOf(key, 'words '.repeat(99)).size).toBe(0)
    expect(within(problemsOf('name', ''), 'name')).toContain('must not be empty')
  })

  it('name limits, fields and what is searched by default in words, and leave other places as they are', () => {
    expect(placeWords('limits.years.form')).toBe('limit by years')
    expect(placeWords('fields.3.form')).toBe('form of a field')
    expect(placeWords('any')).toBe('searched where no field is named')
    expect(placeWords('operators.and.0')).toBe('AND')
    expect(placeWords('stopWords.2')).toBe('words it does not search')
    expect(placeWords('rows.most')).toBe('rows of the form')
    expect(placeWords('kind')).toBe('kind')
  })
})
