import fc from 'fast-check'
import { typedAs } from './mask'
import { FIELDS, type Expr, type Field } from './tree'

/** Random expressions for property tests, over a small stock of words so that they often match. */
const STOCK = [
  'noise',
  'sound',
  'reading',
  'listening',
  'classroom',
  'pupils',
  'effort',
  'children',
  'rooms',
  'school',
]
const MASKED = ['nois*', 'read*3', 'class*', 'sc*ol', 'pup?ls', '*ing', 'eff?rt*', 'li*2en*']

export const anyWord = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom(...STOCK) },
  { weight: 1, arbitrary: fc.constantFrom(...MASKED) },
)
const word = anyWord.map((text): Expr => ({ kind: 'word', text }))
/** Mostly words side by side; some as people type names, numbers and words with hyphens. */
const BETWEEN = [' ', ' ', ' ', ' ', '-', ', ', '’', ' & ', '/', '. ']
const phrase = fc
  .tuple(fc.array(anyWord, { minLength: 1, maxLength: 3 }), fc.constantFrom(...BETWEEN))
  .map(([words, between]): Expr => ({ kind: 'phrase', words, ...typedAs(words.join(between), words) }))
const nearOperand = fc.oneof(
  word,
  phrase,
  fc
    .array(fc.oneof(word, phrase), { minLength: 2, maxLength: 3 })
    .map((parts): Expr => ({ kind: 'or', parts })),
)
const near = fc
  .tuple(nearOperand, nearOperand, fc.nat(9), fc.boolean())
  .map(([left, right, distance, ordered]): Expr => ({ kind: 'near', left, right, distance, ordered }))
const fields = fc.uniqueArray(fc.constantFrom<Field>(...FIELDS), { minLength: 1, maxLength: 3 })
const label = fc.constantFrom(
  'Classroom sound',
  'Noise (sound)',
  'Reading',
  'Listening skills',
  'Pupils',
  'School buildings',
)
const heading = fc
  .tuple(label, fc.boolean(), fc.boolean())
  .map(([l, below, main]): Expr => ({ kind: 'heading', label: l, below, main }))
const code = fc
  .tuple(fc.constantFrom('B4', 'B4.2', 'C'), fc.boolean())
  .map(([c, below]): Expr => ({ kind: 'class', code: c, below }))
const line = fc.integer({ min: 1, max: 40 }).map((number): Expr => ({ kind: 'line', number }))
const lines = fc
  .tuple(
    fc.constantFrom<'any' | 'all'>('any', 'all'),
    fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.nat(4)), { minLength: 1, maxLength: 3 }),
  )
  .map(([mode, items]): Expr => ({
    kind: 'lines',
    mode,
    ranges: items.map(([from, more]) => ({ from, to: from + more })),
  }))

function tree(leaves: fc.Arbitrary<Expr>): fc.Arbitrary<Expr> {
  return fc.letrec<{ e: Expr }>((tie) => ({
    e: fc.oneof(
      { maxDepth: 4, depthIdentifier: 'e' },
      leaves,
      fc
        .tuple(
          fc.constantFrom<'and' | 'or' | 'not'>('and', 'or', 'not'),
          fc.array(tie('e'), { minLength: 2, maxLength: 4 }),
        )
        .map(([kind, parts]): Expr => ({ kind, parts })),
      fc.tuple(fields, tie('e')).map(([f, of]): Expr => ({ kind: 'fields', fields: f, of })),
    ),
  })).e
}

/** Words, phrases and nearness under Booleans and fields: everything that a text alone can answer. */
export const textExpression = tree(fc.oneof(word, phrase, near))
/** The same with headings and classes. */
export const searchExpression = tree(fc.oneof(word, phrase, near, heading, code))
/** Everything that plain notation can say. */
export const anyExpression = tree(fc.oneof(word, phrase, near, heading, code, line, lines))
