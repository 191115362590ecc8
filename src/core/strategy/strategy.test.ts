import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex } from '../engine'
import type { LimitValue } from '../query'
import { dependants, draftStrategy, lineKeys, renumberText, runStrategy, toRanges, type Plan } from '.'

const term = (
  conceptId: string,
  expression: string,
  more: Partial<Plan['terms'][number]> = {},
): Plan['terms'][number] => ({
  conceptId,
  sourceId: 'all',
  kind: 'text',
  expression,
  withNarrower: false,
  mainFocus: false,
  status: 'in use',
  ...more,
})
const INDEX = { hasVocabulary: true, hasLimit: () => true }
const PLAIN = { hasVocabulary: false, hasLimit: () => true }
const YEARS: LimitValue = { kind: 'years', from: 2017, to: 2026 }
const line = (id: string, text: string, limits: LimitValue[] = []) => ({ id, text, limits })

describe('concepts of which one is enough', () => {
  const concepts = ['a', 'b', 'c'].map((id) => ({ id, essential: true }))
  const terms = [term('a', 'rooms'), term('b', 'noise'), term('c', 'babble')]
  const texts = (conceptIds: string[], more: Partial<Plan> = {}): string[] =>
    draftStrategy({ concepts, terms, limits: [], alternatives: [{ conceptIds }], ...more }, 's', PLAIN).map(
      (l) => l.text,
    )
  it('are joined with OR, and with the others with AND', () => {
    expect(texts(['b', 'c'])).toEqual([
      'text: rooms',
      'text: noise',
      'text: babble',
      'any(#2-#3)',
      'all(#1, #4)',
    ])
  })
  it('are all there is to ask where every concept is an alternative', () => {
    expect(texts(['a', 'b', 'c']).at(-1)).toBe('any(#1-#3)')
    expect(texts(['a', 'b', 'c'], { limits: [YEARS] })).toEqual(expect.any(Array))
  })
  it('do not count where only one of them has terms, or they are optional', () => {
    expect(texts(['b', 'c'], { terms: terms.slice(0, 2) }).at(-1)).toBe('all(#1-#2)')
    const optional = concepts.map((c) => ({ ...c, essential: c.id !== 'c' }))
    expect(texts(['b', 'c'], { concepts: optional }).at(-1)).toBe('all(#1-#2)')
  })
})

describe('drafting by the building-block method', () => {
  const plan: Plan = {
    concepts: [
      { id: 'a', essential: false },
      { id: 'b', essential: true },
      { id: 'c', essential: true },
    ],
    terms: [
      term('a', 'classroom*'),
      term('b', 'noise'),
      term('b', '"sound field"'),
      term('b', 'Classroom sound', { kind: 'heading', sourceId: 's', withNarrower: true }),
      term('c', 'reading'),
      term('c', 'pupil*', { status: 'dropped' }),
    ],
    limits: [YEARS, { kind: 'peer reviewed' }],
  }

  it('joins words and headings of a concept with OR, essential concepts with AND, and sets limits one at a time', () => {
    expect(draftStrategy(plan, 's', INDEX).map((l) => l.text)).toEqual([
      'text: classroom*',
      'text: (noise OR "sound field")',
      'heading.below: "Classroom sound"',
      'any(#2-#3)',
      'text: reading',
      'all(#4-#5)',
      '#6',
      '#7',
    ])
  })

  it('leaves headings out where the source has no vocabulary or the heading is of another one', () => {
    expect(draftStrategy(plan, 's', PLAIN).some((l) => l.text.includes('heading'))).toBe(false)
    expect(draftStrategy(plan, 'other', INDEX).some((l) => l.text.includes('heading'))).toBe(false)
  })

  it('puts the limits on the one concept there is, and drafts nothing from nothing', () => {
    const one = { ...plan, concepts: [{ id: 'b', essential: true }] }
    expect(draftStrategy(one, 's', INDEX).map((l) => l.text)).toEqual([
      'text: (noise OR "sound field")',
      'heading.below: "Classroom sound"',
      'any(#1-#2)',
      '#3',
      '#4',
    ])
    expect(draftStrategy({ ...plan, terms: [] }, 's', INDEX)).toEqual([])
  })
})

describe('lines that refer to lines', () => {
  it('follow the lines they meant when these are renumbered (law 3)', () => {
    expect(renumberText('any(#1-#3) NOT #4', (n) => n + 1)).toBe('any(#2-#4) NOT #5')
    expect(renumberText('any(#1-#3)', (n) => (n === 2 ? undefined : n > 2 ? n - 1 : n))).toBe('any(#1-#2)')
    expect(renumberText('#1', () => undefined)).toBe('#0')
    expect(renumberText('noise  or sound', (n) => n + 1)).toBe('noise  or sound')
  })

  it('keep every number through ranges', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 60 })), (numbers) => {
        expect(
          toRanges(numbers).flatMap((r) => Array.from({ length: r.to - r.from + 1 }, (_, i) => r.from + i)),
        ).toEqual(numbers)
      }),
    )
  })

  it('change their key exactly when they or what they depend on asks something else', () => {
    const before = lineKeys([line('1', 'a'), line('2', 'b'), line('3', '#1 AND x'), line('4', '#3', [YEARS])])
    const after = lineKeys([
      line('1', 'a OR z'),
      line('2', ' b '),
      line('3', '#1 AND x'),
      line('4', '#3', [YEARS]),
    ])
    expect([...before.keys()].filter((id) => before.get(id) !== after.get(id))).toEqual(['1', '3', '4'])
    const moved = lineKeys([line('2', 'b'), line('1', 'a'), line('3', '#2 AND x'), line('4', '#3', [YEARS])])
    expect(moved.get('2')).toBe(before.get('2'))
  })

  it('know what depends on them', () => {
    expect(dependants([line('1', 'a'), line('2', '#1'), line('3', 'b'), line('4', 'any(#2-#3)')], 1)).toEqual(
      [2, 4],
    )
  })
})

describe('running a strategy', () => {
  const facets = (year: number): { year: number[] } => ({ year: [year] })
  const index = buildIndex([
    { fields: { title: ['noise in class'] }, headings: [], classes: [], facets: facets(2015) },
    { fields: { title: ['noise and reading'] }, headings: [], classes: [], facets: facets(2019) },
    { fields: { title: ['reading'] }, headings: [], classes: [], facets: {} },
  ])
  const run = (...lines: ReturnType<typeof line>[]): (number | undefined)[] =>
    runStrategy({ index, options: {} }, lines).map((r) => r.docs?.length)

  it('lets lines use the results of lines above them', () => {
    expect(
      run(
        line('1', 'noise'),
        line('2', 'reading'),
        line('3', 'any(#1-#2)'),
        line('4', 'all(#1-#2)'),
        line('5', '#1 NOT #2'),
      ),
    ).toEqual([2, 2, 3, 1, 1])
  })

  it('applies limits, and leaves out records that lack what the limit asks for', () => {
    expect(run(line('1', 'reading', [YEARS]), line('2', 'reading'))).toEqual([1, 2])
  })

  it('does not run a line with errors nor one that needs it, and runs the rest', () => {
    const results = runStrategy({ index, options: {} }, [
      line('1', 'noise AND'),
      line('2', '#1'),
      line('3', '#3'),
      line('4', 'reading'),
    ])
    expect(results.map((r) => r.docs?.length)).toEqual([undefined, undefined, undefined, 2])
    expect(results[1]!.problems[0]!.message).toBe('Line 1, which this line needs, could not be run.')
    expect(results[2]!.problems[0]!.message).toBe('Line 3 cannot refer to line 3: only to lines above it.')
  })
})
