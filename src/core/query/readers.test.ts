import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { readFrom } from '../profile'
import { lex, parse, print, readCql, withoutPlaces, type Expr } from '.'
import { anyExpression } from './expressions.arbitrary'
import { trials } from '../base/trials.fixture'

/** Pieces of texts that people and databases write, words spelled like operators among them. */
const PIECES = [
  ...['noise', 'or', 'OR', 'and', 'AND', 'not', 'NOT', 'NEAR', 'near', 'THEN', 'then', 'prox', 'any', 'all'],
  ...[
    'near5',
    'near/3',
    '<3>',
    'then2',
    'ａｎｄ',
    'ＮＥＡＲ',
    'NEAŔ',
    'nois^',
    'eff?rt',
    're*2d',
    '2020',
    '#1',
    '@2',
    'SET2',
  ],
  ...[
    '(',
    ')',
    '[',
    ']',
    '{',
    '}',
    '"',
    '"or"',
    '"room noise"',
    '“quoted”',
    '\\"',
    '\\',
    '~',
    ',',
    ':',
    '/',
    '>',
    '+',
  ],
  ...[
    'title:',
    'any:',
    'heading: "A"',
    'GIST[',
    'ti=',
    '>T',
    '.q1.',
    'dc.title any',
    '= "x',
    'room-noise',
    "NOT'*",
    "don't",
  ],
]
const texts = fc.oneof(
  fc.array(fc.constantFrom(...PIECES), { maxLength: 12 }).map((p) => p.join(' ')),
  fc
    .array(fc.oneof(fc.constantFrom(...PIECES), fc.string({ maxLength: 4 })), { maxLength: 12 })
    .map((p) => p.join('')),
)
const roundTrip = (tree: Expr): void => {
  const again = parse(print(tree))
  expect(again.tree && withoutPlaces(again.tree)).toEqual(withoutPlaces(tree))
}
const RUNS = { numRuns: trials(2000, 4000) }

describe('any tree that a reader gives prints to text that parses to the same tree (law 10)', () => {
  it('from plain notation, damaged or not', () => {
    fc.assert(
      fc.property(texts, (text) => {
        const { tree } = parse(text)
        if (tree) roundTrip(tree)
      }),
      RUNS,
    )
  })
  it('from CQL', () => {
    fc.assert(
      fc.property(texts, (text) => {
        const { tree } = readCql(text)
        if (tree) roundTrip(tree)
      }),
      RUNS,
    )
  })
  it.each(Object.keys(PROFILES))('from the syntax of %s', (id) => {
    fc.assert(
      fc.property(texts, (text) => {
        const { tree } = readFrom(text, PROFILES[id]!)
        if (tree) roundTrip(tree)
      }),
      RUNS,
    )
  })
  it('also where operators change so often that brackets would run too deep: then it says so and gives no tree', () => {
    const text = Array.from({ length: 300 }, (_, i) => `w${i} ${i % 2 ? 'and' : 'or'} `).join('') + 'end'
    for (const { tree, problems } of [readCql(text), readFrom(text, PROFILES.fernhollow!)]) {
      expect(tree).toBeUndefined()
      expect(problems.map((p) => p.code)).toContain('deep')
    }
  })
})

describe('a word that is spelled like an operator', () => {
  it.each([
    ['quayside', 'pupils or noise', 'pupils AND "or" AND noise'],
    ['quayside', 'noise ａｎｄ sound', 'noise AND "and" AND sound'],
    ['girder', 'room and noise', '~"room and noise"'],
  ])('read in %s from %s, stays a word', (id, text, plain) => {
    const { tree } = readFrom(text, PROFILES[id]!)
    expect(print(tree!)).toBe(plain)
    expect(parse(plain).problems.filter((p) => p.severity === 'error')).toEqual([])
  })
  it('stays one in CQL and in plain notation, in any width', () => {
    expect(print(readCql('noise and "and"').tree!)).toBe('noise AND "and"')
    expect(print(parse('ｏｒ').tree!)).toBe('"or"')
    expect(print({ kind: 'word', text: 'NEAR' })).toBe('"NEAR"')
  })
})

describe('quotation marks inside quotes', () => {
  it('are written with a backslash, and read back', () => {
    fc.assert(
      fc.property(
        fc
          .string({ minLength: 1 })
          .map((s) => s.trim())
          .filter((s) => s !== '' && !s.includes('\n')),
        fc.boolean(),
        (label, below) => {
          roundTrip({ kind: 'heading', label, below, main: false })
          roundTrip({ kind: 'class', code: label, below })
        },
      ),
      RUNS,
    )
    expect(print({ kind: 'heading', label: 'The "Big C"', below: false, main: false })).toBe(
      'heading: "The \\"Big C\\""',
    )
  })
  it('leave texts without backslashes as they were read before', () => {
    fc.assert(
      fc.property(anyExpression, (e) => {
        expect(lex(print(e)).marks.every((m) => m.kind !== 'quote' || !m.loose)).toBe(true)
        roundTrip(e)
      }),
    )
  })
})

describe('a text that is long or deep beyond sense', () => {
  const long: Record<string, (n: number) => string> = {
    'a chain of nearness': (n) => 'a NEAR/3 near3 '.repeat(n) + 'b OR c',
    'a chain of AND': (n) => Array.from({ length: n }, (_, i) => `w${i}`).join(' AND '),
    'words side by side': (n) => 'noise '.repeat(n),
    'open brackets': (n) => '('.repeat(n) + 'a',
    'codes inside codes': (n) => 'title: by: '.repeat(n) + 'a',
    'codes behind codes': (n) => 'a' + '>T'.repeat(n),
    'operators that change': (n) =>
      Array.from({ length: n }, (_, i) => `w${i} ${['and', 'OR', '!'][i % 3]}`).join(' '),
  }
  it.each(Object.keys(long))('%s: every reader returns, and what it returns can be printed', (kind) => {
    const text = long[kind]!(5000)
    const readers = [parse, readCql, ...Object.values(PROFILES).map((p) => (t: string) => readFrom(t, p))]
    for (const read of readers) {
      const { tree, problems } = read(text)
      if (tree) print(tree)
      else expect(problems.length).toBeGreaterThan(0)
    }
  })
})
