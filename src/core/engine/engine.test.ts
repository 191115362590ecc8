import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { and, near, not, or, parse, phrase, word, type Expr } from '../query'
import { textExpression, searchExpression } from '../query/expressions.arbitrary'
import { buildIndex, evaluate, intersect, Scanned, subtract, unite, uniteAll, type Document } from '.'
import { trials } from '../base/trials.fixture'

const WORDS = [
  'noise',
  'noises',
  'sound',
  'reading',
  'readers',
  'listening',
  'classroom',
  'pupils',
  'effort',
  'children',
  'rooms',
  'school',
  'the',
  'of',
]
const sentence = fc.array(fc.constantFrom(...WORDS), { maxLength: 14 }).map((w) => w.join(' '))
const document: fc.Arbitrary<Document> = fc.record({
  fields: fc.record({
    title: fc.array(sentence, { maxLength: 1 }),
    abstract: fc.array(sentence, { maxLength: 1 }),
    keywords: fc.array(sentence, { maxLength: 3 }),
  }),
  headings: fc.array(
    fc.record({
      label: fc.constantFrom('Classroom sound', 'Reading', 'Pupils', 'Noise (sound)'),
      main: fc.boolean(),
    }),
    { maxLength: 3 },
  ),
  classes: fc.array(fc.constantFrom('B4.2', 'B4', 'B42', 'C1'), { maxLength: 2 }),
  facets: fc.constant({}),
})
const corpus = fc.array(document, { minLength: 1, maxLength: 25 })
const set = fc.uniqueArray(fc.nat(3000), { maxLength: 400 }).map((a) => Uint32Array.from(a).sort())
const hits = (documents: Document[], e: Expr): number[] => [...evaluate(buildIndex(documents), e).docs]
const of = (...texts: string[]): Document[] =>
  texts.map((t) => ({ fields: { title: [t] }, headings: [], classes: [], facets: {} }))
const found = (documents: Document[], query: string): number[] => hits(documents, parse(query).tree!)

describe('the index', () => {
  it('finds what a word-by-word scan of every record finds', () => {
    fc.assert(
      fc.property(corpus, searchExpression, (documents, e) => {
        const scanned = documents.flatMap((d, i) => (new Scanned(d).matches(e) ? [i] : []))
        expect(hits(documents, e)).toEqual(scanned)
      }),
      { numRuns: trials(600, 1500) },
    )
  })

  it('keeps set algebra: AND and OR commute, associate and distribute; NOT is set difference (law 2)', () => {
    fc.assert(
      fc.property(corpus, textExpression, textExpression, textExpression, (documents, a, b, c) => {
        const index = buildIndex(documents)
        const docs = (e: Expr): number[] => [...evaluate(index, e).docs]
        expect(docs(and(a, b))).toEqual(docs(and(b, a)))
        expect(docs(or(a, b))).toEqual(docs(or(b, a)))
        expect(docs(and(a, a))).toEqual(docs(a))
        expect(docs(and(and(a, b), c))).toEqual(docs(and(a, and(b, c))))
        expect(docs(and(a, or(b, c)))).toEqual(docs(or(and(a, b), and(a, c))))
        expect(docs(not(a, b))).toEqual(docs(a).filter((d) => !docs(b).includes(d)))
      }),
      { numRuns: trials(120, 300) },
    )
  })

  it('orders what is narrower below what is wider (law 2)', () => {
    const contains = (big: number[], small: number[]): void =>
      expect(big).toEqual(expect.arrayContaining(small))
    fc.assert(
      fc.property(
        corpus,
        fc.constantFrom(...WORDS),
        fc.constantFrom(...WORDS),
        fc.nat(6),
        (documents, x, y, n) => {
          fc.pre(x !== y)
          const [a, b] = [word(x), word(y)]
          contains(hits(documents, and(a, b)), hits(documents, near(n + 1, a, b)))
          contains(hits(documents, near(n + 1, a, b)), hits(documents, near(n, a, b)))
          contains(hits(documents, near(n, a, b)), hits(documents, near(n, a, b, true)))
          contains(hits(documents, near(0, a, b, true)), hits(documents, phrase(x, y)))
          contains(found(documents, `text: ${x}`), found(documents, `title: ${x}`))
          contains(found(documents, `${x.slice(0, 3)}*`), found(documents, `${x.slice(0, 4)}*`))
        },
      ),
      { numRuns: trials(120, 300) },
    )
  })

  it('lets up to n words stand between for NEAR/n (common practice)', () => {
    const documents = of('noise one two three four five sound', 'noise one two three four five six sound')
    expect(found(documents, 'noise NEAR/5 sound')).toEqual([0])
    expect(found(documents, 'sound THEN/5 noise')).toEqual([])
    expect(found(documents, 'sound NEAR/5 noise')).toEqual([0])
  })

  it('wants two different places for a word near itself', () => {
    expect(found(of('noise alone', 'noise and noise'), 'noise NEAR/3 noise')).toEqual([1])
  })

  it('measures nearness from the ends of phrases and never lets operands overlap', () => {
    expect(found(of('sound field systems', 'sound field'), '"sound field" NEAR/0 systems')).toEqual([0])
    expect(found(of('sound field', 'sound field field'), '"sound field" NEAR/4 field')).toEqual([1])
  })

  it('never lets a phrase or nearness cross from one value or field to the next', () => {
    const documents: Document[] = [
      { fields: { title: ['noise'], keywords: ['sound', 'field'] }, headings: [], classes: [], facets: {} },
    ]
    expect(found(documents, '"sound field"')).toEqual([])
    expect(found(documents, 'sound NEAR/99 field')).toEqual([])
    expect(found(documents, 'noise NEAR/99 sound')).toEqual([])
  })

  it('takes a class with those below it, but not one that only begins alike', () => {
    const documents: Document[] = ['B4', 'B4.2', 'B42'].map((c) => ({
      fields: {},
      headings: [],
      classes: [c],
      facets: {},
    }))
    expect(found(documents, 'class.below: "B4"')).toEqual([0, 1])
    expect(found(documents, 'class: "B4"')).toEqual([0])
  })

  it('searches title hits within title, abstract and keywords, and those within everything (common practice)', () => {
    const documents: Document[] = [
      { fields: { author: ['Sound, A.'], abstract: ['noise'] }, headings: [], classes: [], facets: {} },
    ]
    expect([
      found(documents, 'title: noise'),
      found(documents, 'text: noise'),
      found(documents, 'text: sound'),
      found(documents, 'sound'),
    ]).toEqual([[], [0], [], [0]])
  })

  it('says when a heading or a line is not there, and finds nothing for it', () => {
    const result = evaluate(buildIndex(of('x')), parse('heading: "No such" OR #4').tree!, {
      headings: () => undefined,
    })
    expect([...result.docs]).toEqual([])
    expect(result.problems.map((p) => p.code)).toEqual(['heading-unknown', 'line-unknown'])
  })

  it('marks the matched words and leaves out what NOT takes away', () => {
    const text = 'Noise and reading in noisy rooms'
    const [document] = of(text)
    const marked = (q: string): string[] =>
      new Scanned(document!).hits(parse(q).tree!).map((h) => text.slice(...h.at))
    expect(marked('nois* AND "noisy rooms"')).toEqual(['Noise', 'noisy', 'rooms'])
    expect(marked('noise NOT reading')).toEqual(['Noise'])
    expect(marked('reading NEAR/1 noisy')).toEqual(['reading', 'noisy'])
  })
})

describe('sets of documents', () => {
  it('are combined as sets are', () => {
    fc.assert(
      fc.property(set, set, set, (a, b, c) => {
        const [x, y] = [new Set(a), new Set(b)]
        expect([...intersect(a, b)]).toEqual([...a].filter((d) => y.has(d)))
        expect([...subtract(a, b)]).toEqual([...a].filter((d) => !y.has(d)))
        expect([...unite(a, b)]).toEqual([...new Set([...x, ...y])].sort((p, q) => p - q))
        const all = [...new Set([...a, ...b, ...c])].sort((p, q) => p - q)
        expect([...uniteAll([a, b, c], 3001)]).toEqual(all)
        expect([...uniteAll([a, b, c], 3001 << 14)]).toEqual(all)
      }),
    )
  })
})
