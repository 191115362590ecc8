import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { languageCode, languageName, limitWords } from '../core/query'
import { PROFILES } from '../standins/profiles'
import { parseArguments, required, UsageError } from './arguments'
import { readLimit } from './limits'
import { loadProfile, narrowerFor } from './profiles'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-limits-'))
afterAll(() => rmSync(folder, { recursive: true }))
const file = (name: string, text: string): string => {
  const at = path.join(folder, name)
  writeFileSync(at, text)
  return at
}

describe('a limit on the command line', () => {
  it('is read in each of its forms, and says in words what was meant', () => {
    for (const [text, words] of [
      ['years=2015-2024', '2015–2024'],
      ['years=2015–', '2015 and later'],
      ['year=-2024', 'up to 2024'],
      ['year=2020', '2020'],
      ['language=en,de', 'English or German'],
      ['languages = Spanish', 'Spanish'],
      ['document type=journal article', 'journal article'],
      ['type=journal article, report', 'journal article or report'],
      ['population=children', 'children'],
      ['place=Harbour Town', 'Harbour Town'],
      ['peer-reviewed', 'peer reviewed'],
      ['open_access', 'open access'],
    ] as const)
      expect(limitWords(readLimit(text)), text).toBe(words)
  })

  it('is refused with examples where it says nothing', () => {
    for (const text of ['', 'years', 'years=lately', 'years=-', 'language=', 'type=,', 'size=3'])
      expect(() => readLimit(text), text).toThrow(UsageError)
    expect(() => readLimit('size=3')).toThrow('Examples: years=2015-2024')
  })

  it('knows languages by name and code, and leaves others as they are', () => {
    expect(languageCode(' German ')).toBe('de')
    expect(languageCode('DE')).toBe('de')
    expect(languageCode('Harbourish')).toBe('Harbourish')
    expect(languageName('de')).toBe('German')
    expect(languageName('xx')).toBe('xx')
  })
})

describe('a profile on the command line', () => {
  it('comes by the name of a stand-in or from a file', () => {
    expect(loadProfile('girder')).toBe(PROFILES.girder)
    const own = { ...PROFILES.girder!, id: 'harbour', name: 'Harbour Abstracts' }
    expect(loadProfile(file('own.json', JSON.stringify(own)))).toEqual(own)
  })

  it('is refused with what to do where it is none', () => {
    expect(() => loadProfile('nowhere.json')).toThrow('no file that can be read')
    expect(() => loadProfile(file('broken.json', '{'))).toThrow('is not JSON')
    expect(() => loadProfile(file('empty.json', '{}'))).toThrow('In id: is missing.')
  })

  it('takes narrower headings from the vocabulary of a stand-in, and none from others', () => {
    const { withNarrower } = narrowerFor('fernhollow')
    expect(withNarrower!('Classroom sound')![0]).toBe('Classroom sound')
    expect(withNarrower!('Classroom sound')!.length).toBeGreaterThan(1)
    expect(withNarrower!('No such heading')).toBeUndefined()
    expect(narrowerFor('quayside')).toEqual({})
    expect(narrowerFor('harbour')).toEqual({})
  })
})

describe('the words behind a command', () => {
  const options = { query: 'value', limit: 'values', fold: 'flag' } as const

  it('are options with a value, with several, or with none', () => {
    const read = parseArguments(['--query', 'a', '--limit=x=1', '--limit', 'y', '--fold', '--json'], options)
    expect(Object.fromEntries(read)).toEqual({ query: ['a'], limit: ['x=1', 'y'], fold: [], json: [] })
    expect(required(read, 'query')).toBe('a')
  })

  it('are refused with what is known where they are not understood', () => {
    const refusal =
      (...words: string[]) =>
      () =>
        parseArguments(words, options)
    expect(refusal('query')).toThrow(
      '"query" is not understood here. Options: --json, --query, --limit, --fold.',
    )
    expect(refusal('--none')).toThrow('"--none" is not understood')
    expect(refusal('--query')).toThrow('--query needs a value behind it.')
    expect(refusal('--query', 'a', '--query', 'b')).toThrow('--query is given twice.')
    expect(() => required(parseArguments([], options), 'query')).toThrow('--query is missing.')
  })
})
