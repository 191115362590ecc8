import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex } from '../../engine'
import { parse, print, referredLines, withoutPlaces, type LimitValue } from '../../query'
import { emptyRecord, toDocument } from '../../records'
import { carryStrategy } from '../draft/carry'
import {
  appendLines,
  dependsOn,
  joinText,
  moveLine,
  removeLines,
  renumberLines,
  subtractText,
  withNeeded,
} from './edit'
import { limitStanding } from '../limits/ledger'
import type { LineLike } from './keys'
import { redraft, type OwnLine } from '../draft/redraft'
import { runStrategy } from '../run/run'
import { writtenOut } from '../run/written-out'

const WORDS = ['noise', 'reverberat*', 'babble', '"sound field"', 'title: reading']

/** Strategies of up to nine lines, each a word or a join of lines above it. */
const strategies: fc.Arbitrary<OwnLine[]> = fc
  .array(
    fc.record({
      word: fc.constantFrom(...WORDS),
      refs: fc.array(fc.nat(8), { maxLength: 3 }),
      how: fc.constantFrom('any', 'all', 'less', 'mixed'),
      drafted: fc.boolean(),
      limited: fc.boolean(),
    }),
    { minLength: 1, maxLength: 9 },
  )
  .map((rows) =>
    rows.map(({ word, refs, how, drafted, limited }, i): OwnLine => {
      const back = [...new Set(refs.filter((n) => n < i).map((n) => n + 1))]
      const text = !back.length
        ? word
        : how === 'less'
          ? subtractText(back)
          : how === 'mixed'
            ? `${word} AND ${joinText('any', back)}`
            : joinText(how as 'any' | 'all', back)
      return { id: `l${i}`, text, limits: limited ? [{ kind: 'peer reviewed' }] : [], note: '', drafted }
    }),
  )

/** What each line means, whatever its number: itself with all lines it needs written out. */
function meanings(lines: readonly { id: string; text: string }[]): Map<string, string> {
  const trees = lines.map((l) => parse(l.text).tree)
  return new Map(lines.map((l, i) => [l.id, print(withoutPlaces(writtenOut(i + 1, (n) => trees[n - 1])!))]))
}
const refsGoBack = (lines: readonly { text: string }[]): boolean =>
  lines.every((l, i) => {
    const { tree } = parse(l.text)
    return !tree || referredLines(tree).every((n) => n >= 1 && n <= i)
  })

describe('editing a strategy (law 3: renumbering keeps what lines mean)', () => {
  it('keeps what every line means when a line is moved, or says why it cannot be', () => {
    fc.assert(
      fc.property(strategies, fc.nat(8), fc.nat(8), (lines, from, to) => {
        const moved = moveLine(lines, from % lines.length, to % lines.length)
        if (!moved.ok) {
          expect(moved.problems[0]!.message).toMatch(/refers to/)
          return
        }
        expect(refsGoBack(moved.value)).toBe(true)
        expect(meanings(moved.value)).toEqual(new Map([...meanings(lines)]))
      }),
    )
  })

  it('keeps what the others mean when lines are taken out with all that depends on them', () => {
    fc.assert(
      fc.property(strategies, fc.array(fc.nat(8), { minLength: 1, maxLength: 3 }), (lines, chosen) => {
        const ids = new Set(chosen.map((n) => lines[n % lines.length]!.id))
        const depending = dependsOn(lines, ids)
        expect(removeLines(lines, ids).ok).toBe(depending.length === 0)
        const left = removeLines(lines, ids, true)
        if (!left.ok) throw new Error('Taking out with dependants is never refused')
        expect(refsGoBack(left.value)).toBe(true)
        expect(left.value).toHaveLength(lines.length - ids.size - depending.length)
        const before = meanings(lines)
        for (const [id, meaning] of meanings(left.value)) expect(meaning).toBe(before.get(id))
      }),
    )
  })

  it('keeps what the others mean when a line is put in anywhere', () => {
    fc.assert(
      fc.property(strategies, fc.nat(9), (lines, place) => {
        const after = [...lines]
        after.splice(place % (lines.length + 1), 0, {
          id: 'new',
          text: 'quiet',
          limits: [],
          note: '',
          drafted: false,
        })
        const renumbered = renumberLines(lines, after)
        const before = meanings(lines)
        for (const [id, meaning] of meanings(renumbered))
          if (id !== 'new') expect(meaning).toBe(before.get(id))
      }),
    )
  })

  it('keeps what lines mean when they are taken with all they need, and put behind others', () => {
    fc.assert(
      fc.property(strategies, strategies, fc.nat(8), (lines, others, chosen) => {
        const id = lines[chosen % lines.length]!.id
        const taken = withNeeded(lines, new Set([id]))
        expect(refsGoBack(taken)).toBe(true)
        const before = meanings(lines)
        for (const [key, meaning] of meanings(taken)) expect(meaning).toBe(before.get(key))
        const there = others.map((l) => ({ ...l, id: `there ${l.id}` }))
        const all = meanings(appendLines(there, taken))
        expect(all.get(id)).toBe(before.get(id))
        for (const [key, meaning] of meanings(there)) expect(all.get(key)).toBe(meaning)
      }),
    )
  })

  it('gives the same line for chosen lines as for typed numbers, and the same count (common practice)', () => {
    expect(joinText('any', [3, 1, 2, 2])).toBe('any(#1-#3)')
    expect(joinText('all', [4, 9])).toBe('all(#4, #9)')
    expect(joinText('any', [5])).toBe('#5')
    expect(subtractText([4, 2])).toBe('#4 NOT #2')
    const index = buildIndex(
      ['noise in rooms', 'noise', 'rooms', 'quiet'].map((t, i) => toDocument(emptyRecord(String(i), t))),
    )
    const run = (last: string): number[] => {
      const lines = ['noise', 'rooms', last].map((text, i): LineLike => ({ id: String(i), text, limits: [] }))
      return [...runStrategy({ index, options: {} }, lines)[2]!.docs!]
    }
    expect(run(joinText('any', [1, 2]))).toEqual(run('#1 OR #2'))
    expect(run(joinText('all', [1, 2]))).toEqual(run('#1 AND #2'))
    expect(run(subtractText([1, 2]))).toEqual([1])
  })
})

describe('the limit ledger', () => {
  const years = { kind: 'years', from: 2017, to: 2026 } as const
  const can = (state: 'exact' | 'stood in' | 'not available') => () => state
  const line = (text: string, limits: LineLike['limits'] = []): LineLike => ({ id: text, text, limits })
  const standing = (lines: LineLike[], state: 'exact' | 'stood in' | 'not available' = 'exact') =>
    limitStanding(years, { lines, can: can(state) })

  it('finds a limit that is applied, by itself or inherited from lines below', () => {
    expect(standing([line('noise'), line('#1', [years])])).toMatchObject({ state: 'applied', line: 2 })
    expect(standing([line('noise', [years]), line('rooms', [years]), line('all(#1-#2)')])).toEqual({
      state: 'applied',
      line: 1,
      run: false,
    })
    expect(standing([line('noise'), line('#1', [years])], 'stood in')).toEqual({
      state: 'stood in',
      line: 2,
      run: false,
    })
  })
  it('finds each way in which a limit goes missing', () => {
    expect(standing([], 'exact')).toEqual({ state: 'open' })
    expect(standing([line('noise')], 'not available')).toEqual({ state: 'not available' })
    expect(standing([line('noise'), line('rooms'), line('all(#1-#2)')])).toEqual({ state: 'forgotten' })
    // Joined again from the lines above the limit: after lines are joined again, limits must be applied again.
    expect(standing([line('noise'), line('#1', [years]), line('rooms'), line('all(#1, #3)')])).toEqual({
      state: 'lost',
      line: 2,
      at: 4,
      value: years,
    })
    // An OR with a line that has no limit is not limited.
    expect(standing([line('noise', [years]), line('rooms'), line('any(#1-#2)')])).toEqual({
      state: 'lost',
      line: 1,
      at: 3,
      value: years,
    })
    const other = { kind: 'years', from: 2010, to: 2026 } as const
    expect(standing([line('noise'), line('#1', [other])])).toEqual({ state: 'other', line: 2, value: other })
  })
  it('takes the same values in another order as the same, keeps a limit within a field, and names a stricter one', () => {
    const planned = { kind: 'language', values: ['en', 'de', 'es'] } as const
    const of = (lines: LineLike[], limit: LimitValue = { ...planned, values: [...planned.values] }) =>
      limitStanding(limit, { lines, can: can('exact'), ran: (id) => id !== 'open' })
    const turned: LimitValue = { kind: 'language', values: ['de', 'en', 'es'] }
    expect(of([line('noise'), line('#1', [turned])])).toEqual({ state: 'applied', line: 2, run: true })
    expect(of([line('noise', [turned]), line('title: #1')])).toEqual({ state: 'applied', line: 1, run: true })
    expect(of([line('noise', [turned]), { ...line('#1'), id: 'open' }])).toMatchObject({ run: false })
    const english: LimitValue = { kind: 'language', values: ['en'] }
    expect(of([line('noise', [turned]), line('#1', [english])])).toEqual({
      state: 'stricter',
      line: 2,
      value: english,
    })
    // What is said to be lost is what was set, not what was planned.
    expect(of([line('noise', [english]), line('rooms'), line('any(#1-#2)')])).toEqual({
      state: 'lost',
      line: 1,
      at: 3,
      value: english,
    })
  })
  it('takes an AND with one limited part, and what is left after a NOT, as limited', () => {
    expect(standing([line('noise', [years]), line('rooms'), line('all(#1-#2)')]).state).toBe('applied')
    expect(standing([line('noise', [years]), line('rooms'), line('#1 NOT #2')]).state).toBe('applied')
    expect(standing([line('noise'), line('rooms', [years]), line('#1 NOT #2')]).state).toBe('lost')
  })
})

describe('drafting anew', () => {
  const draft = (text: string, conceptId?: string) => ({
    text,
    limits: [],
    ...(conceptId ? { conceptId } : {}),
  })
  const own = (id: string, text: string, drafted: boolean, conceptId?: string): OwnLine => ({
    id,
    note: '',
    drafted,
    ...draft(text, conceptId),
  })
  const ids = (): (() => string) => {
    let n = 0
    return () => `new${++n}`
  }

  it('follows the plan where nothing was touched, and keeps what was edited by hand', () => {
    const current = [
      own('a', 'text: noise', true, 'b'),
      own('b', 'text: (read* NOT music)', false, 'c'),
      own('c', 'all(#1-#2)', true),
    ]
    const { lines, changes } = redraft(
      current,
      [
        draft('text: (noise OR babble)', 'b'),
        draft('heading: "Noise"', 'b'),
        draft('any(#1-#2)', 'b'),
        draft('text: read*', 'c'),
        draft('all(#3, #4)'),
      ],
      ids(),
    )
    expect(lines.map((l) => [l.id, l.text])).toEqual([
      ['a', 'text: (noise OR babble)'],
      ['new2', 'heading: "Noise"'],
      ['new3', 'any(#1-#2)'],
      ['b', 'text: (read* NOT music)'],
      // No number changed, so the text stays letter for letter.
      ['c', 'all(#3, #4)'],
    ])
    expect(changes.map((c) => c.kind)).toEqual(['changed', 'added', 'added', 'kept', 'changed'])
    expect(changes[3]).toMatchObject({ drafted: 'text: read*' })
  })

  it('never loses a hand edit: every such line is there with its words, and refers to what it meant', () => {
    fc.assert(
      fc.property(strategies, strategies, (current, planned) => {
        const { lines, changes } = redraft(
          current,
          planned.map(({ text, limits }) => ({ text, limits })),
          ids(),
        )
        expect(refsGoBack(lines)).toBe(true)
        expect(new Set(lines.map((l) => l.id)).size).toBe(lines.length)
        for (const [i, line] of current.entries()) {
          if (line.drafted) continue
          const at = lines.findIndex((l) => l.id === line.id)
          expect(at).toBeGreaterThanOrEqual(0)
          const refs = (text: string, all: readonly OwnLine[]): string[] =>
            referredLines(parse(text).tree!)
              .map((n) => all[n - 1]!.id)
              .sort()
          expect(refs(lines[at]!.text, lines)).toEqual(refs(current[i]!.text, current))
          expect(lines[at]!.limits).toEqual(line.limits)
        }
        // Nothing goes without being said.
        const told = new Set(changes.map((c) => c.line.id))
        for (const line of [...current, ...lines]) expect(told.has(line.id)).toBe(true)
      }),
      { numRuns: 400 },
    )
  })
})

describe('carrying a strategy over', () => {
  const lines = [
    { id: 'a', text: 'text: noise', limits: [] },
    { id: 'b', text: 'heading.below: "Room acoustics" OR heading: "Echo"', limits: [] },
    { id: 'c', text: 'any(#1-#2)', limits: [] },
    { id: 'd', text: '#3', limits: [{ kind: 'language' as const, values: ['en'] }] },
  ]
  const target = (headings: Record<string, string[]>) => ({
    heading: (label: string) => headings[label],
    hasLimit: (kind: string) => kind !== 'language',
    hasVocabulary: true,
  })
  it('puts headings into the other vocabulary, lists those without a counterpart, and limits that are lost', () => {
    const {
      lines: carried,
      unsettled,
      lostLimits,
    } = carryStrategy(lines, target({ 'Room acoustics': ['Classroom sound', 'Noise'] }))
    expect(carried[1]!.text).toBe(
      '(heading.below: "Classroom sound" OR heading.below: "Noise") OR heading: "Echo"',
    )
    expect(unsettled).toEqual(['Echo'])
    expect(lostLimits).toEqual([{ line: 4, limit: lines[3]!.limits[0] }])
    // A line that only set the limit would find the same once more.
    expect(carried.map((l) => l.id)).toEqual(['a', 'b', 'c'])
  })
  it('asks once for a heading that two have become, with narrower if either was', () => {
    const { lines: carried } = carryStrategy(lines, target({ 'Room acoustics': ['Noise'], Echo: ['Noise'] }))
    expect(carried[1]!.text).toBe('heading.below: "Noise"')
  })
  it('takes out a line that says nothing any more, and joins go on without it', () => {
    const { lines: carried } = carryStrategy(lines, target({ 'Room acoustics': [], Echo: [] }))
    expect(carried.map((l) => l.text)).toEqual(['text: noise', 'any(#1)'])
  })
  it('lets what named a line that only set a lost limit name the line that it limited', () => {
    const more = [...lines, { id: 'e', text: 'all(#1, #4) NOT #9', limits: [] }]
    const { lines: carried } = carryStrategy(more, target({ 'Room acoustics': ['Noise'], Echo: ['Noise'] }))
    expect(carried.at(-1)!.text).toBe('all(#1, #3) NOT #9')
  })
  it('asks for headings as words where there is no vocabulary, without what says in which sense they are meant', () => {
    const own = [{ id: 'a', text: 'heading.below: "Noise (sound)" OR heading: "Room acoustics"', limits: [] }]
    const { lines: carried } = carryStrategy(own, { ...target({}), hasVocabulary: false })
    expect(carried[0]!.text).toBe('text: Noise OR text: "Room acoustics"')
  })
})
