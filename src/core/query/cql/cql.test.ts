import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hasErrors } from '../../base'
import { buildIndex, evaluate, INDEXED_FIELDS, type Document } from '../../engine'
import { print, readCql, writeCql, type Expr } from '..'
import { searchExpression } from '../expressions.arbitrary'
import { trials } from '../../base/trials.fixture'

const read = (text: string): string => {
  const { tree } = readCql(text)
  return tree ? print(tree) : ''
}
const codes = (text: string): string[] => readCql(text).problems.map((p) => p.code)

// Outside check: worked examples of the CQL 1.2 specification (Library of Congress, "CQL: the Contextual Query
// Language", sections on queries, search clauses, relations, Booleans, proximity), quoted from memory.
describe('the worked examples of the CQL 1.2 specification', () => {
  it.each([
    ['cat', 'cat'],
    ['"cat"', 'cat'],
    ['title = fish', 'title: fish'],
    ['dc.title = fish', 'title: fish'],
    ['title any fish', 'title: fish'],
    ['title any "fish frog"', 'title: (fish OR frog)'],
    ['title all "complete dinosaur"', 'title: (complete AND dinosaur)'],
    ['dc.title adj "seconds that matter"', 'title: "seconds that matter"'],
    ['dc.title any fish or dc.creator any sanderson', 'title: fish OR author: sanderson'],
    [
      'dc.title any fish or (dc.creator any sanderson and dc.identifier = "id:1234567")',
      'title: fish OR (author: sanderson AND identifier: "id 1234567")',
    ],
    ['cat or mouse and rat', '(cat OR mouse) AND rat'],
    ['dinosaur not reptile', 'dinosaur NOT reptile'],
    ['(bird or dinosaur) and (feathers or scales)', '(bird OR dinosaur) AND (feathers OR scales)'],
    ['"feathered dinosaur" and (yixian or jehol)', '"feathered dinosaur" AND (yixian OR jehol)'],
    ['complete prox/distance<=3/unit=word dinosaur', 'complete NEAR/2 dinosaur'],
    ['cat prox/unit=word/distance=1/ordered hat', 'cat THEN/0 hat'],
    ['dinosau*', 'dinosau*'],
    ['c?t', 'c?t'],
    ['cql.serverChoice = fish', 'fish'],
    ['> dc = "http://example.org/dc/" dc.title = fish', 'title: fish'],
    ['dc.title = cat sortBy dc.date/sort.descending', 'title: cat'],
  ])('%s', (text, plain) => {
    expect(read(text)).toBe(plain)
    expect(hasErrors(readCql(text).problems)).toBe(false)
  })

  it.each([
    ['dc.title within "lower upper"', 'cql-relation'],
    ['dc.date > 1998', 'cql-index'],
    ['cat prox/unit=sentence hat', 'cql-prox'],
    ['(cat', 'bracket-open'],
    ['cat and', 'operand-missing'],
    ['"cat', 'quote-open'],
    ['dc.title =', 'cql-term'],
    ['cat hat', 'cql-unexpected'],
  ])('refuses %s with words', (text, code) => expect(codes(text)).toContain(code))
})

describe('writing CQL', () => {
  it('joins from the left with equal precedence, so nested parts are always bracketed', () => {
    const e: Expr = {
      kind: 'or',
      parts: [
        { kind: 'word', text: 'a' },
        {
          kind: 'and',
          parts: [
            { kind: 'word', text: 'b' },
            { kind: 'word', text: 'c' },
          ],
        },
      ],
    }
    expect(writeCql(e).text).toBe('a or (b and c)')
  })

  it('warns where CQL has no word for it', () => {
    expect(writeCql({ kind: 'word', text: 'read*2' })).toMatchObject({
      text: 'read*',
      problems: [{ code: 'cql-truncation' }],
    })
  })

  it('reads back an expression that finds the same records', () => {
    const text = fc
      .array(
        fc.constantFrom(
          'noise',
          'sound',
          'reading',
          'listening',
          'classroom',
          'pupils',
          'effort',
          'rooms',
          'school',
        ),
        { maxLength: 10 },
      )
      .map((w) => w.join(' '))
    const document = fc.record({
      fields: fc.record(Object.fromEntries(INDEXED_FIELDS.map((f) => [f, fc.array(text, { maxLength: 2 })]))),
      headings: fc.array(
        fc.record({ label: fc.constantFrom('Classroom sound', 'Reading', 'Pupils'), main: fc.boolean() }),
        { maxLength: 2 },
      ),
      classes: fc.array(fc.constantFrom('B4.2', 'C'), { maxLength: 1 }),
      facets: fc.constant({}),
    }) as fc.Arbitrary<Document>
    fc.assert(
      fc.property(searchExpression, fc.array(document, { minLength: 1, maxLength: 8 }), (e, documents) => {
        const written = writeCql(e)
        const back = readCql(written.text)
        expect(hasErrors(back.problems), written.text).toBe(false)
        if (written.problems.length) return
        const index = buildIndex(documents)
        expect([...evaluate(index, back.tree!).docs], written.text).toEqual([...evaluate(index, e).docs])
      }),
      { numRuns: trials(400, 800) },
    )
  })

  it('reads any text without throwing', () => {
    const signs = fc
      .array(
        fc.constantFrom(
          'cat',
          ' and ',
          ' prox',
          '/distance<=3',
          '(',
          ')',
          '"',
          '=',
          '>',
          'dc.title',
          ' any ',
          '\\',
          '/',
          '*',
        ),
        { maxLength: 20 },
      )
      .map((p) => p.join(''))
    fc.assert(
      fc.property(fc.oneof(signs, fc.string({ unit: 'binary' })), (text) => {
        readCql(text)
      }),
      { numRuns: trials(750, 1500) },
    )
    expect(readCql('('.repeat(100_000)).problems.length).toBeGreaterThan(0)
  })
})
