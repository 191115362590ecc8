import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lex, parse, print, withoutPlaces } from '../../query'
import { anyExpression } from '../../query/expressions.arbitrary'
import { carryStrategy } from '../draft/carry'
import { renumberLines } from './edit'
import { renumber, renumberText } from './references'

const PIECES = [
  ...[
    'noise',
    'AND',
    'OR',
    'NOT',
    'and',
    '(',
    ')',
    '"open',
    '"shut"',
    'foo:',
    'title:',
    'NEAR',
    'NEAR/3',
    '~',
    '%',
    ',',
  ],
  ...[
    '#1',
    '#2',
    '# 3',
    '#',
    '#x',
    'any(#1-#3, #5)',
    'any(#2, foo)',
    'all(',
    'all(#1 - #2)',
    '"#1"',
    'heading: "A"',
  ],
  ...['heading.below: ("A" OR "B")', 'heading:', 'class: "#2"', '5', '#12', '\n', '  '],
]
/** Texts of lines as people leave them, most of them damaged. */
const damaged = fc
  .array(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 10 })
  .chain((p) => fc.constantFrom('', ' ').map((s) => p.join(s)))

/** The text with every number of a line taken out, so that two renumberings of it can be compared. */
const withoutNumbers = (text: string): string => {
  let out = ''
  let from = 0
  for (const m of lex(text).marks) {
    if (m.kind !== 'line' && m.kind !== 'lines') continue
    out += text.slice(from, m.at[0]) + '◊'
    from = m.at[1]
  }
  return out + text.slice(from)
}

describe('renumbering', () => {
  it.each([
    ['#1 AND foo: bar', '#2 AND foo: bar'],
    ['#1 AND (pupil OR', '#2 AND (pupil OR'],
    ['NOT #1 AND #2 and x', 'NOT #2 AND #3 and x'],
    ['any(#1-#3, foo) AND  noise', 'any(#2-#4, foo) AND  noise'],
    ['"#1" and #1', '"#1" and #2'],
  ])('of %s puts other numbers in, and nothing else', (text, after) => {
    const lines = [
      { id: 'a', text: 'x' },
      { id: 'b', text },
    ]
    const [, , moved] = renumberLines(lines, [{ id: 'new', text: 'y' }, ...lines])
    // `b` is the second line and refers to lines that all move by one.
    expect(renumberText(text, (n) => n + 1)).toBe(after)
    expect(moved!.text).toBe(renumberText(text, (n) => (n < 3 ? n + 1 : undefined)))
  })

  it('keeps everything else letter for letter, in any text however damaged', () => {
    fc.assert(
      fc.property(damaged, fc.integer({ min: 1, max: 9 }), (text, by) => {
        expect(renumberText(text, (n) => n)).toBe(text)
        expect(withoutNumbers(renumberText(text, (n) => n + by))).toBe(withoutNumbers(text))
        expect(withoutNumbers(renumberText(text, (n) => (n % 2 ? n : undefined)))).toBe(withoutNumbers(text))
      }),
      { numRuns: 6000 },
    )
  })

  it('means the same as putting the numbers into the tree, where the text is sound', () => {
    fc.assert(
      fc.property(anyExpression, fc.integer({ min: 1, max: 9 }), (e, by) => {
        const tree = (text: string) => withoutPlaces(parse(text).tree!)
        const text = print(e)
        expect(print(tree(renumberText(text, (n) => n + by)))).toBe(print(renumber(e, (n) => n + by)))
      }),
      { numRuns: 2000 },
    )
  })
})

describe('carrying over', () => {
  const target = (heading: (label: string) => readonly string[] | undefined) => ({
    heading,
    hasLimit: () => true,
    hasVocabulary: true,
  })
  const carried = (text: string, heading: (label: string) => readonly string[] | undefined): string =>
    carryStrategy([{ id: 'a', text, limits: [] }], target(heading)).lines[0]!.text

  it('puts other names of headings in, and nothing else', () => {
    const to = (label: string) => (label === 'A' ? ['Alpha'] : label === 'B' ? ['Beta', 'Gamma'] : undefined)
    expect(carried('heading.below:  "A"  or noise (foo', to)).toBe('heading.below:  "Alpha"  or noise (foo')
    expect(carried('heading: "B"', to)).toBe('(heading: "Beta" OR heading: "Gamma")')
    expect(carried('heading: ("A" OR "B") AND x', to)).toBe('heading: ("Alpha" OR "Beta" OR "Gamma") AND x')
  })

  it('keeps a damaged text letter for letter where its headings keep their names', () => {
    fc.assert(
      fc.property(damaged, (text) => {
        expect(carried(text, (label) => [label])).toBe(text)
      }),
      { numRuns: 3000 },
    )
  })
})
