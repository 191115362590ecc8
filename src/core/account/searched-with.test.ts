import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import type { Profile } from '../profile'
import type { Line } from '../review'
import { fieldsInWords, searchedWith } from './searched-with'

const line = (text: string, described?: string): Line => ({
  id: text,
  text,
  limits: [],
  note: '',
  drafted: false,
  ...(described === undefined ? {} : { described }),
})
const asked = (profile: Profile | undefined, ...texts: string[]) =>
  searchedWith(
    texts.map((text, i) => ({ line: line(text), number: i + 1 })),
    profile,
  )
const words = (profile: Profile | undefined, ...texts: string[]): string =>
  fieldsInWords(asked(profile, ...texts), profile)

describe('what a source was asked with, read from its lines', () => {
  it('names the fields of the words', () => {
    expect(words(PROFILES.fernhollow, 'text: noise')).toBe('title, abstract and keywords')
    expect(words(PROFILES.fernhollow, 'title: noise')).toBe('the title alone')
    expect(words(PROFILES.fernhollow, 'title: noise OR abstract: "sound field"')).toBe('title and abstract')
    expect(words(PROFILES.mindmere, 'test: "quiet screening"')).toBe('the tests alone')
  })

  it('says of a source that has no such field what it searches instead', () => {
    expect(words(PROFILES.quayside, 'text: noise')).toBe(
      'all fields that it searches by default (title, abstract, keywords, author, journal and full text)',
    )
    expect(words(PROFILES.wideband, 'heading: "Noise"')).toBe('the keywords alone')
    expect(words(undefined, 'noise')).toBe('all fields that it searches by default')
  })

  it('puts the fields of most lines first, and names the lines that looked elsewhere', () => {
    expect(words(PROFILES.fernhollow, 'title: noise', 'text: room', 'text: reading', '#2 AND #3')).toBe(
      'title, abstract and keywords; in line 1 in the title alone',
    )
    expect(
      words(
        PROFILES.girder,
        'text: a1',
        'text: b1',
        'text: c1',
        'title: noise',
        'title: hall',
        'author: Osei',
      ),
    ).toBe(
      'title, abstract and keywords; in lines 4 and 5 in the title alone and in line 6 in the author alone',
    )
  })

  it('says nothing of words where there are none', () => {
    const only = asked(PROFILES.fernhollow, 'heading.below: "Classroom sound"', '#1')
    expect(only).toEqual({ headings: true, codes: false, fields: [], leftOut: [], nearnessLost: false })
    expect(fieldsInWords(only, PROFILES.fernhollow)).toBe('')
    expect(asked(PROFILES.girder, 'class.below: "B4"').codes).toBe(true)
    expect(searchedWith([], undefined)).toEqual({
      headings: false,
      codes: false,
      fields: [],
      leftOut: [],
      nearnessLost: false,
    })
  })

  it('does not take a heading for one where the source has no vocabulary', () => {
    expect(asked(PROFILES.fernhollow, 'heading: "Noise"').headings).toBe(true)
    expect(asked(PROFILES.wideband, 'heading: "Noise"').headings).toBe(false)
  })

  it('tells what NOT took away, a line behind it by its words, each once', () => {
    expect(
      asked(PROFILES.fernhollow, 'noise', 'hearing*', '#1 NOT #2', 'noise NOT (aids OR implant)').leftOut,
    ).toEqual(['hearing*', 'aids OR implant'])
    expect(asked(PROFILES.fernhollow, 'noise NOT aids', 'rooms NOT aids').leftOut).toEqual(['aids'])
  })

  it('passes over lines that cannot be read and searches without text', () => {
    expect(asked(PROFILES.fernhollow, '', ')').fields).toEqual([])
    expect(
      searchedWith([{ line: line('noise', 'browsed the journal'), number: 1 }], PROFILES.fernhollow).fields,
    ).toEqual([])
  })
})
