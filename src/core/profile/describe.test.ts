import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { anyDescription } from './descriptions.arbitrary'
import { PROFILES } from '../../standins/profiles'
import { parse, print, byGroup, withoutPlaces } from '../query'
import {
  describedProfile,
  draftOf,
  FIELD_PATTERNS,
  freshDraft,
  LINE_PATTERNS,
  printFor,
  readFrom,
  readProfile,
  withFieldPattern,
  withLinePattern,
  type FieldPattern,
  type LinePattern,
} from '.'

describe('describing a database in a form', () => {
  it.each(Object.keys(PROFILES))('loses nothing of the profile of %s', (id) => {
    const profile = PROFILES[id]!
    const back = readProfile(JSON.parse(JSON.stringify(describedProfile(draftOf(profile)))))
    expect(back).toMatchObject({ ok: true })
    expect(back.ok && back.value).toEqual(profile)
  })

  it('begins with what can be used as soon as it has a name', () => {
    const named = readProfile(describedProfile(freshDraft('Lantern Index')))
    expect(named.ok && named.value).toMatchObject({ id: 'lantern-index', name: 'Lantern Index' })
    const nameless = readProfile(describedProfile(freshDraft()))
    expect(nameless.ok).toBe(false)
    expect(nameless.problems[0]!.at).toBe('name')
  })

  const QUERIES = [
    'title: noise',
    'text: (noise OR reverberat*) AND title: "sound field"',
    'author: ahola NOT #2',
    '#1 AND #2',
  ]
  const PATTERNS = Object.keys(FIELD_PATTERNS).flatMap((f) =>
    Object.keys(LINE_PATTERNS).map((l) => [f as FieldPattern, l as LinePattern] as const),
  )
  it.each(PATTERNS)('reads back what it writes: field codes %s, line numbers %s', (field, line) => {
    const draft = withLinePattern(withFieldPattern(freshDraft('Lantern Index'), field), line)
    const read = readProfile(describedProfile(draft))
    if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
    for (const query of line === 'not at all' ? QUERIES.slice(0, 2) : QUERIES) {
      const { text, said, losses } = printFor(parse(query).tree!, read.value)
      expect(losses).toEqual([])
      const back = readFrom(text, read.value)
      expect(back.problems).toEqual([])
      expect(print(byGroup(withoutPlaces(back.tree!))), text).toBe(print(byGroup(withoutPlaces(said))))
    }
  })

  it('keeps the codes that were typed when another pattern is chosen', () => {
    const typed = { ...freshDraft('Lantern Index'), fields: { title: '{expr}[q1]', author: 'w9={expr}' } }
    expect(withFieldPattern(typed, 'before, with a colon').fields).toEqual({
      title: 'q1:{expr}',
      author: 'w9:{expr}',
    })
  })

  it('keeps how far codes reach, also where each has its own', () => {
    const fields = [
      { of: ['title' as const], form: '{expr}[q1]', reach: 'run' as const },
      { of: ['author' as const], form: '{expr}[w9]' },
    ]
    const profile = { ...PROFILES.mindmere!, fields, together: ',', stopWords: ['the'] }
    const back = readProfile(JSON.parse(JSON.stringify(describedProfile(draftOf(profile)))))
    expect(back.ok && back.value).toEqual(profile)
    const row = readProfile(describedProfile({ ...draftOf(profile), reach: 'row' }))
    expect(row.ok && row.value.fields.map((f) => f.reach)).toEqual(['row', 'row'])
  })

  it('loses nothing of any database that can be described', () => {
    for (const { description } of fc.sample(anyDescription, { numRuns: trials(200, 2000), seed: 20261201 })) {
      const profile = readProfile(description)
      if (!profile.ok) throw new Error(profile.problems.map((p) => p.message).join('\n'))
      const back = readProfile(JSON.parse(JSON.stringify(describedProfile(draftOf(profile.value)))))
      // To reach one unit is what codes do of themselves, said or not.
      const fields = profile.value.fields.map(({ reach, ...f }) =>
        reach && reach !== 'unit' ? { ...f, reach } : f,
      )
      expect(back.ok ? back.value : back.problems).toEqual({ ...profile.value, fields })
    }
  })

  it('takes rows of a form and what values are called there as they are typed', () => {
    const draft = freshDraft('Copperlane')
    const typed = {
      ...draft,
      rows: 'any: Any field\ntitle, abstract: Words in title or abstract\n',
      rowJoins: ['and' as const, 'or' as const],
      rowsMost: '4',
      limits: {
        ...draft.limits,
        language: { form: 'lang={values}', onScreen: '', standIn: '', values: 'nl = Dutch; de = German' },
      },
    }
    const read = readProfile(describedProfile(typed))
    if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
    expect(read.value.rows).toEqual({
      fields: [
        { of: ['any'], name: 'Any field' },
        { of: ['title', 'abstract'], name: 'Words in title or abstract' },
      ],
      joins: ['and', 'or'],
      most: 4,
    })
    expect(read.value.limits.language!.values).toEqual({ nl: 'Dutch', de: 'German' })
    // Names of values that were typed before how the limit is set stay.
    const named = { form: '', onScreen: '', standIn: '', values: 'article = Journal paper' }
    const early = readProfile(
      describedProfile({ ...draft, limits: { ...draft.limits, 'document type': named } }),
    )
    expect(early.ok && early.value.limits).toEqual({
      'document type': { values: { article: 'Journal paper' } },
    })
    const wrong = readProfile(
      JSON.parse(JSON.stringify(describedProfile({ ...typed, rows: 'titel: Words', rowsMost: '' }))),
    )
    expect(wrong.problems.map((p) => p.at)).toEqual(['rows.fields.0.of.0', 'rows.most'])
  })

  it('names a number that is none instead of dropping it', () => {
    const draft = freshDraft('Lantern Index')
    const problems = (part: Partial<typeof draft>): string[] =>
      readProfile(JSON.parse(JSON.stringify(describedProfile({ ...draft, ...part })))).problems.map(
        (p) => p.message,
      )
    expect(problems({ exported: 'two thousand' })).toEqual(['In caps.exported: must be a number.'])
    expect(problems({ shortestStem: '3.5' })).toEqual(['In truncation.shortestStem: must be a number.'])
    expect(problems({ nearEither: 'within {n} of', nearMost: '-1' })).toEqual([
      'In nearness.most: must be a number.',
    ])
    expect(problems({ longestQuery: '5' })).toEqual(['In caps.longestQuery: must be at least 20.'])
    expect(problems({ exported: ' 2000 ', shown: '' })).toEqual([])
  })

  it('leaves out what is emptied, and names the place of what cannot be used', () => {
    const draft = draftOf(PROFILES.mindmere!)
    const emptied = readProfile(
      describedProfile({ ...draft, heading: '', nearEither: '', nearOrdered: '', line: '', not: '' }),
    )
    if (!emptied.ok) throw new Error(emptied.problems.map((p) => p.message).join('\n'))
    expect(emptied.value.headings).toBeUndefined()
    expect(emptied.value.nearness).toBeUndefined()
    expect(emptied.value.lines).toBeUndefined()
    expect(emptied.value.operators.not).toBeUndefined()
    expect(emptied.value.operators.binding.flat()).not.toContain('not')
    const wrong = readProfile(describedProfile({ ...draft, fields: { title: 'title' }, heading: 'h' }))
    expect(wrong.problems.map((p) => p.at)).toEqual(['fields.0.form', 'headings.plain'])
  })
})
