import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { byGroup, parse, print, withoutPlaces, type LimitValue } from '../query'
import { limitAs, printFor, readWithLimits, withLimits, writeLimit } from '.'

const anyLimit: fc.Arbitrary<LimitValue> = fc.oneof(
  fc
    .tuple(fc.integer({ min: 1900, max: 2030 }), fc.integer({ min: 1900, max: 2030 }))
    .map(([from, to]): LimitValue => ({ kind: 'years', from, to })),
  fc
    .uniqueArray(fc.constantFrom('en', 'de', 'es'), { minLength: 1, maxLength: 3 })
    .map((values): LimitValue => ({ kind: 'language', values })),
  fc
    .uniqueArray(fc.constantFrom('journal article', 'conference paper', 'book'), {
      minLength: 1,
      maxLength: 3,
    })
    .map((values): LimitValue => ({ kind: 'document type', values })),
  fc.constant<LimitValue>({ kind: 'peer reviewed' }),
)
const QUERIES = [
  'text: (noise OR reverberat*)',
  'title: noise AND text: reading',
  'noise OR sound',
  'noise NOT sound',
]

it('calls values of limits as they are called there, and reads them back as ours', () => {
  const profile = {
    ...PROFILES.mindmere!,
    limits: {
      'document type': {
        form: 'kind<{values}>',
        values: { article: 'Journal paper', thesis: 'Dissertation' },
      },
      language: { form: 'language<{values}>', values: { nl: 'Flemish' } },
    },
  }
  const limits = [
    { kind: 'document type' as const, values: ['article', 'report'] },
    { kind: 'language' as const, values: ['en', 'nl'] },
  ]
  const { text } = withLimits('noise', limits, profile)
  expect(text).toBe('noise and kind<Journal paper or report> and language<English or Flemish>')
  expect(readWithLimits(text, profile).limits).toEqual(expect.arrayContaining(limits))
})

describe('limits in the syntax of a database', () => {
  it('are read back as they were written, and leave the query as it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(PROFILES)),
        fc.constantFrom(...QUERIES),
        fc.uniqueArray(anyLimit, { maxLength: 4, selector: (l) => l.kind }),
        (profile, query, limits) => {
          const { text } = printFor(parse(query).tree!, profile)
          const written = limits.filter((l) => writeLimit(l, profile).text !== undefined)
          const whole = withLimits(text, written, profile)
          const back = readWithLimits(whole.text, profile)
          const form = (t: typeof back.tree): string => (t ? print(byGroup(withoutPlaces(t))) : '')
          expect(back.problems.filter((p) => p.severity === 'error')).toEqual([])
          expect(form(back.tree)).toBe(form(readWithLimits(text, profile).tree))
          const sorted = (list: readonly unknown[]): string[] => list.map((l) => JSON.stringify(l)).sort()
          expect(sorted(back.limits)).toEqual(sorted(written.map((l) => limitAs(l, profile))))
        },
      ),
      { numRuns: 400 },
    )
  })

  it('are joined with brackets only round what is joined already', () => {
    const written = (text: string, id: string): string =>
      withLimits(text, [{ kind: 'years', from: 2016, to: 2026 }], PROFILES[id]!).text
    expect(written('L4', 'fernhollow')).toBe('L4 and yr{2016..2026}')
    expect(written('L1 or L2', 'fernhollow')).toBe('(L1 or L2) and yr{2016..2026}')
    expect(written('tak{noise or sound}', 'fernhollow')).toBe('tak{noise or sound} and yr{2016..2026}')
    expect(written('(noise | sound)>T', 'girder')).toBe('(noise | sound)>T & year:2016/2026')
    expect(withLimits('L1 or L2', [], PROFILES.fernhollow!).text).toBe('L1 or L2')
  })

  it('are named where they are set on the screen, or not to be had at all', () => {
    const { fernhollow } = PROFILES
    const profile = { ...fernhollow!, limits: { years: { onScreen: 'left column' } } }
    expect(withLimits('noise', [{ kind: 'years', from: 2016 }, { kind: 'peer reviewed' }], profile)).toEqual({
      text: 'noise',
      onScreen: ['2016 and later (left column)'],
      screen: [{ what: '2016 and later', where: 'left column' }],
      missing: ['peer reviewed'],
    })
  })

  it('are not taken out of quoted words or of what only looks like one', () => {
    const { tree, limits } = readWithLimits("'yr' and yr{soon}", PROFILES.fernhollow!)
    expect(limits).toEqual([])
    expect(tree).toBeDefined()
  })
})
