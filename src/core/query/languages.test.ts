import { expect, it } from 'vitest'
import { LANGUAGE_CODES, languageCode, languageName } from './limit'

it('knows every language of ISO 639-1 by code and by name, and keeps any other as it is', () => {
  // 183 codes of two letters are in force (values from memory: ISO 639-1 with its changes up to 2009).
  expect(LANGUAGE_CODES.length).toBeGreaterThanOrEqual(183)
  for (const code of LANGUAGE_CODES) {
    expect(languageCode(languageName(code).toUpperCase())).toBe(code)
    expect(languageCode(code.toUpperCase())).toBe(code)
  }
  expect(['nl', 'zh', 'ar', 'sv'].map(languageName)).toEqual(['Dutch', 'Chinese', 'Arabic', 'Swedish'])
  expect([languageName('gsw'), languageCode('gsw')]).toEqual(['gsw', 'gsw'])
})
