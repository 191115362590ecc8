import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hasErrors } from '../base'
import { DEEPEST, meaningOf, parse, print, withoutPlaces } from '.'
import { anyExpression } from './expressions.arbitrary'

const printed = (text: string): string => {
  const { tree } = parse(text)
  return tree ? print(tree) : ''
}
const codes = (text: string): string[] => parse(text).problems.map((p) => p.code)

describe('plain notation', () => {
  it('gives back every expression that it prints (law 1)', () => {
    fc.assert(
      fc.property(anyExpression, (e) => {
        const read = parse(print(e))
        expect(hasErrors(read.problems)).toBe(false)
        expect(withoutPlaces(read.tree!)).toEqual(e)
      }),
      { numRuns: 2000 },
    )
  })

  it('reads any text at all without throwing, with every span inside the text', () => {
    const broken = fc
      .array(
        fc.constantFrom(
          'a',
          '"',
          '(',
          ')',
          ' AND ',
          ' NOT ',
          'OR',
          'NEAR/3',
          'NEAR',
          'title:',
          'heading:',
          '#3',
          'any(#',
          '-',
          ',',
          '*',
          '?',
          '😀',
          ' ',
        ),
        { maxLength: 30 },
      )
      .map((p) => p.join(''))
    fc.assert(
      fc.property(fc.oneof(fc.string({ unit: 'binary' }), broken), (text) => {
        for (const { at, fix, message } of parse(text).problems) {
          expect(message.length).toBeGreaterThan(10)
          for (const span of [at, fix?.span]) {
            if (!Array.isArray(span)) continue
            expect(span[0]).toBeGreaterThanOrEqual(0)
            expect(span[1]).toBeGreaterThanOrEqual(span[0] as number)
            expect(span[1]).toBeLessThanOrEqual(text.length)
          }
        }
      }),
      { numRuns: 3000 },
    )
  })

  it('binds NEAR before NOT before AND before OR, and says that mixing them is read differently elsewhere', () => {
    expect(printed('a OR b AND c NOT d NEAR/2 e')).toBe('a OR (b AND (c NOT (d NEAR/2 e)))')
    const [mixed] = parse('a OR b AND c').problems
    expect(mixed).toMatchObject({
      code: 'mixed',
      severity: 'warning',
      at: [0, 12],
      fix: { text: 'a OR (b AND c)' },
    })
    expect(codes('a OR (b AND c)')).toEqual([])
  })

  it('mends a mixed line for good: the fix, once applied, leaves no warning and the same tree', () => {
    const text = 'x AND (a OR b AND c)'
    const { tree, problems } = parse(text)
    const { span, text: put } = problems[0]!.fix!
    const mended = parse(text.slice(0, span[0]) + put + text.slice(span[1]))
    expect(mended.problems).toEqual([])
    expect(withoutPlaces(mended.tree!)).toEqual(withoutPlaces(tree!))
  })

  it('takes operators in any case and prints them in capitals', () => {
    expect(printed('noise and sound or "x y"')).toBe('(noise AND sound) OR "x y"')
  })

  it('reads words side by side as AND and warns', () => {
    expect(printed('noise sound')).toBe('noise AND sound')
    expect(codes('noise sound')).toEqual(['side-by-side'])
  })

  it('reads a hyphenated run as a phrase and keeps truncation inside it', () => {
    expect(printed('sound-field*')).toBe('"sound-field*"')
  })

  it('keeps what stands between the words of a phrase, and takes it for no other phrase', () => {
    for (const typed of ['"Osei, M."', '"10.5555/room.12.3"', '"O’Neil"', '"sound-field"', '"R & D"'])
      expect(printed(typed)).toBe(typed)
    expect(printed('10.5555/room.12')).toBe('"10.5555/room.12"')
    expect(meaningOf(parse('sound-field').tree!)).toBe(meaningOf(parse('"sound field"').tree!))
    // A sign that stands for nothing is not kept.
    expect(printed('"sound -* field"')).toBe('"sound field"')
  })

  it('reads fields, headings with their options, classes and lines', () => {
    expect(printed('title , abstract:(noise or sound)')).toBe('title,abstract: (noise OR sound)')
    expect(printed('HEADING.main.below: "Classroom sound"')).toBe('heading.below.main: "Classroom sound"')
    expect(printed('heading: ("Room sound" OR Noise)')).toBe('heading: "Room sound" OR heading: "Noise"')
    expect(printed('class.below: B4')).toBe('class.below: "B4"')
    expect(printed('any(#1-3, #5) NOT all(#2)')).toBe('any(#1-#3, #5) NOT all(#2)')
    expect(printed('any: noise')).toBe('any: noise')
  })

  it.each([
    ['a AND', 'operand-missing'],
    ['NOT a', 'operand-missing'],
    ['OR b', 'operand-missing'],
    ['(a', 'bracket-open'],
    ['a)', 'bracket-close'],
    ['"a b', 'quote-open'],
    ['***', 'no-letter'],
    ['ti: x', 'field-unknown'],
    ['title.below: x', 'field-option'],
    ['a NEAR b', 'near-number'],
    ['a NEAR/5000 b', 'near-far'],
    ['a NEAR/3 (b AND c)', 'near-operand'],
    ['a NEAR/3 b NEAR/3 c', 'near-operand'],
    ['any(#3-#1)', 'lines-range'],
    ['any(#x)', 'lines-item'],
    ['#0', 'line-zero'],
    ['title:', 'field-empty'],
    ['heading: (a AND b)', 'name-missing'],
  ])('refuses %s', (text, code) => {
    const { problems } = parse(text)
    expect(problems.filter((p) => p.severity === 'error').map((p) => p.code)).toContain(code)
  })

  it('never lets what NOT would take away stand as if it were wanted', () => {
    expect(parse('NOT a').tree).toBeUndefined()
    expect(printed('b AND NOT a')).toBe('b')
  })

  it('refuses brackets deeper than its limit, names that once, and understands the rest', () => {
    const { tree, problems } = parse(`b OR ${'('.repeat(DEEPEST + 10)}a${')'.repeat(DEEPEST + 10)}`)
    expect(problems.filter((p) => p.code === 'deep')).toHaveLength(1)
    expect(print(tree!)).toBe('b')
  })

  it('reads hostile input of a hundred thousand marks and a megabyte', () => {
    for (const text of [
      '('.repeat(100_000),
      'title:'.repeat(100_000),
      'a NOT '.repeat(50_000),
      'x'.repeat(1_000_000),
      'a,'.repeat(100_000),
      '"'.repeat(100_000),
      '*'.repeat(1_000_000),
    ]) {
      expect(parse(text).problems.length).toBeLessThan(250)
    }
  })

  it('gives no tree and no problem for nothing', () => {
    expect(parse('  ')).toEqual({ tree: undefined, problems: [] })
  })
})
