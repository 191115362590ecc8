import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex, evaluate } from '../engine'
import { or, parse, print, walk, word, type Expr } from '../query'
import { anyExpression, anyWord, textExpression } from '../query/expressions.arbitrary'
import { trials } from '../base/trials.fixture'
import { anyDescription, FIELD_SHAPES, LINE_SHAPES, tricky, type Drawn } from './descriptions.arbitrary'
import { collisionsOf, printFor, readFrom, readOtherwise, readProfile, type Profile } from '.'

const described = (drawn: Drawn): Profile => {
  const read = readProfile(drawn.description)
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
  return read.value
}
const seed = Number(process.env.SEED ?? 20261130)
const drawn = fc.sample(anyDescription, { numRuns: trials(60, 1000), seed })
const expressions = fc.sample(tricky(anyExpression), { numRuns: 1500, seed })

describe('any database that can be described', () => {
  it('reads back what is written for it, or its description is refused with the two forms that collide', () => {
    const refused: string[] = []
    drawn.forEach((one, i) => {
      const profile = described(one)
      const [collision] = collisionsOf(profile)
      if (collision) {
        expect(collision.one).not.toBe(collision.other)
        refused.push(`${collision.one} / ${collision.other}: ${collision.text}`)
        return
      }
      for (let k = 0; k < 40; k++) {
        const e = expressions[(i * 37 + k) % expressions.length]!
        // A database without lines has no text for a reference; that loss is named, and there is nothing to read back.
        if (!profile.lines && [...walk(e)].some((p) => p.kind === 'line' || p.kind === 'lines')) continue
        const wrong = readOtherwise(e, profile)
        expect(
          wrong &&
            `${wrong.text}\nread as ${wrong.as ? print(wrong.as) : 'nothing'}\nwanted ${print(wrong.tree)}`,
          JSON.stringify(one.description),
        ).toBeUndefined()
      }
    })
    expect(refused.length / drawn.length, refused.join('\n')).toBeLessThanOrEqual(0.05)
  })

  it('is drawn with every kind of form often enough', () => {
    const many = fc.sample(anyDescription, { numRuns: 1000, seed })
    const share = (is: (d: Drawn) => boolean): number => many.filter(is).length / many.length
    const shaped = (begin: string) => (d: Drawn) => d.fieldShape?.startsWith(begin) ?? false
    const kinds: Record<string, number> = {
      'codes before': share(shaped('before')),
      'codes behind': share(shaped('behind')),
      dotted: share((d) => /dot/.test(d.fieldShape ?? '')),
      bracketed: share((d) => /brackets/.test(d.fieldShape ?? '')),
      rows: share((d) => d.fieldShape === undefined),
      'letters before the number of a line': share((d) => /^[A-Za-z]/.test(d.lineShape ?? '')),
      'bare numbers as lines': share((d) => d.lineShape === '{n}' || !!d.description.lines?.also),
    }
    for (const [kind, part] of Object.entries(kinds)) expect(part, kind).toBeGreaterThanOrEqual(0.1)
    expect(new Set(many.map((d) => d.fieldShape)).size).toBe(Object.keys(FIELD_SHAPES).length + 1)
    expect(new Set(many.map((d) => d.lineShape)).size).toBe(LINE_SHAPES.length + 1)
  })
})

/** Operators as words, quotes and one sign for any ending: what the cases below do not turn on. */
const USUAL = {
  operators: {
    and: ['and'],
    or: ['or'],
    not: ['not'],
    capitals: false,
    binding: [['not'], ['and'], ['or']],
  },
  quotes: { open: '"', close: '"', exact: true, signs: true },
  truncation: { any: '^', left: false, inside: false, shortestStem: 0 },
  stemming: 'none',
} satisfies Partial<Profile>

describe('a query that is too long for one', () => {
  const words = [
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
  const index = buildIndex(
    Array.from({ length: 300 }, (_, i) => ({
      fields: {
        title: [words.filter((_, k) => (i >> (k % 8)) & 1).join(' ') || 'room'],
        abstract: [words.filter((_, k) => (i * 7 + k) % 3 === 0).join(' ')],
      },
      headings: [],
      classes: [],
      facets: {},
    })),
  )
  const found = (e: Expr): number[] => [...evaluate(index, e, { headings: () => [] }).docs]
  const capped = (cap: number, more: object = {}): Profile => ({
    ...described(drawn.find((d) => d.fieldShape === 'before, with a sign')!),
    ...more,
    caps: { longestQuery: cap },
  })

  const group = fc
    .array(fc.oneof({ weight: 3, arbitrary: anyWord.map(word) }, textExpression), {
      minLength: 2,
      maxLength: 9,
    })
    .map((parts) => or(...parts))
  it('is parted into queries that fit and together find what was asked', () => {
    let parted = 0
    fc.assert(
      fc.property(
        fc.array(group, { minLength: 2, maxLength: 4 }),
        fc.integer({ min: 100, max: 400 }),
        (parts, cap) => {
          const profile = capped(cap, { lines: undefined, stemming: 'none' })
          const { said, queries, losses } = printFor({ kind: 'and', parts }, profile)
          const long = losses.find((l) => l.cause.code === 'too-long')
          if (!long) return
          if (long.cause.code === 'too-long' && long.cause.how === 'not') {
            expect(queries).toHaveLength(1)
            return
          }
          parted++
          for (const q of queries) expect(q.text.length, q.text).toBeLessThanOrEqual(cap)
          expect(found(or(...queries.map((q) => q.tree)))).toEqual(found(said))
        },
      ),
      { numRuns: trials(300, 3000) },
    )
    expect(parted).toBeGreaterThan(50)
  })

  it('keeps what joins it where lines cannot be joined: every query holds all concepts', () => {
    const profile = capped(90, {
      lines: undefined,
      fields: [],
      stemming: 'none',
      brackets: { open: '(', close: ')' },
    })
    const group = (from: number): string => `(${words.slice(from, from + 5).join(' OR ')})`
    const { tree } = parse(`${group(0)} AND ${group(5)} AND (school OR teachers OR halls OR gyms)`)
    const { queries } = printFor(tree!, profile)
    expect(queries.length).toBeGreaterThan(1)
    for (const q of queries) expect(q.tree.kind === 'and' && q.tree.parts).toHaveLength(3)
  })

  it('fills rows as far as they go: twenty words are a few rows and not twenty', () => {
    const tree = parse(Array.from({ length: 20 }, (_, i) => `word${i}`).join(' OR ')).tree!
    const { queries } = printFor(tree, capped(120, { lines: undefined }))
    expect(queries.length).toBeLessThanOrEqual(3)
    for (const q of queries) expect(q.text.length).toBeLessThanOrEqual(120)
  })

  it('is joined by the numbers of its lines, behind those that it names itself', () => {
    const lines = { reference: '#{n}', separator: ', ', kept: 'session' as const }
    const { queries } = printFor(
      parse(`#2 AND (${words.join(' OR ')}) AND (${words.join('s OR ')})`).tree!,
      capped(60, {
        lines,
        operators: {
          and: ['and'],
          or: ['or'],
          not: ['not'],
          capitals: false,
          binding: [['not'], ['and'], ['or']],
        },
      }),
    )
    const last = queries.at(-1)!
    expect(last.text).toMatch(/^#\d+ and #\d+/)
    expect(last.text).not.toMatch(/#[12]\b/)
    for (const q of queries) expect(q.text.length).toBeLessThanOrEqual(60)
  })
})

describe('a form with rows', () => {
  const form: Profile = {
    ...described(drawn[0]!),
    ...USUAL,
    sideBySide: 'all',
    fields: [],
    lines: undefined,
    headings: undefined,
    nearness: undefined,
    caps: {},
    rows: {
      fields: [
        { of: ['any'], name: 'Anywhere' },
        { of: ['title'], name: 'Title words' },
        { of: ['author'], name: 'People' },
      ],
      joins: ['and', 'or', 'not'],
      most: 4,
    },
  }
  it('is filled in row by row, each with its field and what joins it to those above', () => {
    const { text, losses } = printFor(
      parse('(title: (nois* OR sound) AND pupils AND title: rooms) NOT author: larch').tree!,
      form,
    )
    expect(losses).toEqual([])
    expect(text).toBe('Title words: (nois^ or sound) and rooms\nAND Anywhere: pupils\nNOT People: larch')
    expect(print(readFrom(text, form).tree!)).toBe(
      '(title: ((nois* OR sound) AND rooms) AND pupils) NOT author: larch',
    )
  })
  it('is asked several times where it cannot be asked in one', () => {
    const { queries, losses } = printFor(
      parse('(title: noise OR author: larch) AND (title: rooms OR author: ahola)').tree!,
      form,
    )
    expect(losses.map((l) => l.what)).toEqual(['rows'])
    expect(queries.map((q) => q.text)).toEqual([
      'Title words: rooms\nOR People: ahola\nAND Title words: noise',
      'Title words: rooms\nOR People: ahola\nAND People: larch',
    ])
  })
})

describe('what a description says of its codes', () => {
  const base = described(drawn.find((d) => d.fieldShape === 'behind, in brackets')!)
  const codes: Profile = {
    ...base,
    ...USUAL,
    sideBySide: 'phrase',
    nearness: undefined,
    headings: undefined,
    classes: undefined,
    together: ',',
    lines: { reference: '#{n}', also: ['{n}'], separator: ', ', kept: 'session' },
    fields: [
      { of: ['title'], form: '{expr}[hl]', reach: 'run' },
      { of: ['abstract'], form: '{expr}[sm]', reach: 'run' },
    ],
    caps: {},
  }
  const understood = (text: string): string => print(readFrom(text, codes).tree!)
  it('reaches as far as it says', () => {
    expect(understood('background noise[hl]')).toBe('title: ~"background noise"')
    expect(understood('pupils and background noise[hl]')).toBe('pupils AND title: ~"background noise"')
    const row: Profile = { ...codes, fields: [{ of: ['title'], form: 'hl/{expr}', reach: 'row' }] }
    expect(print(readFrom('hl/noise and sound', row).tree!)).toBe('title: (noise AND sound)')
    const word: Profile = { ...codes, fields: [{ of: ['title'], form: 'hl/{expr}', reach: 'word' }] }
    expect(printFor(parse('title: (noise OR "sound field")').tree!, word).text).toBe(
      'hl/noise or (hl/sound and hl/field)',
    )
  })
  it('keeps a word apart from a code that is a word itself', () => {
    const wordy: Profile = { ...codes, fields: [{ of: ['title'], form: '{expr} in in' }] }
    const { text } = printFor(parse('title: in').tree!, wordy)
    expect(text).toBe('"in" in in')
    expect(print(readFrom(text, wordy).tree!)).toBe('title: "in"')
  })
  it('takes several codes at one place', () => {
    expect(understood('noise[hl,sm]')).toBe('title,abstract: noise')
    expect(printFor(parse('title,abstract: noise').tree!, codes).text).toBe('noise[hl,sm]')
  })
  it('names lines in a second way', () => {
    expect(understood('(1 and 2) not 3')).toBe('(#1 AND #2) NOT #3')
  })
  it('says of an unknown code that it looks like one', () => {
    expect(readFrom('noise[zz]', codes).problems.map((p) => [p.code, p.severity])).toEqual([
      ['unknown-code', 'error'],
    ])
  })
  it('takes quotation marks as word processors set them', () => {
    expect(understood('“background noise”[hl]')).toBe('title: "background noise"')
  })
})
