import fc from 'fast-check'
import { mapChildren, readWord, TEXT_FIELDS, withoutPlaces, type Expr, type Field } from '../query'
import { REACHES, type Profile, type Reach } from './schema'

/**
 * Random descriptions of databases for property tests: codes before, behind, dotted, in brackets, several at once,
 * rows of a form, letters, words and bare numbers as names of lines. Signs are drawn from one pool without putting
 * them back, as a database does that wants to be understood; codes are invented.
 */
const SIGNS = ['*', '$', '%', '?', '!', '^', '~', '+', '=', '#', '@', '&', '|', '>', '<', ';', '§', '°']
const CODES = [
  'q1',
  't9',
  'zz',
  'hl',
  'sm',
  'k',
  'wd',
  'xq',
  'tt',
  'abq',
  'key',
  'au',
  'jn',
  'in',
  'Titel',
  'name',
]

export const FIELD_SHAPES = {
  'before, with a sign': (c: string) => `${c}={expr}`,
  'before, with a colon': (c: string) => `${c}:{expr}`,
  'before, with a colon and a space': (c: string) => `${c}: {expr}`,
  'before, with a space': (c: string) => `${c.toUpperCase()} {expr}`,
  'before, with a slash': (c: string) => `${c}/{expr}`,
  'before, with brackets': (c: string) => `${c}({expr})`,
  'before, with square brackets': (c: string) => `${c}[{expr}]`,
  'behind, with dots': (c: string) => `{expr}.${c}.`,
  'behind, with one dot': (c: string) => `{expr}.${c}`,
  'behind, with two dots': (c: string) => `{expr}..${c}..`,
  'behind, in brackets': (c: string) => `{expr}[${c}]`,
  'behind, with a sign': (c: string) => `{expr}@${c}`,
  'behind, with a slash': (c: string) => `{expr}/${c}`,
  'behind, with a hyphen': (c: string) => `{expr}-${c}`,
  'behind, with a word': (c: string) => `{expr} in ${c}`,
} as const satisfies Record<string, (code: string) => string>
export const LINE_SHAPES = ['#{n}', '{n}', 'S{n}', 'L{n}', 'row {n}', '@{n}', 'set{n}', '[{n}]'] as const
const NEAR_SHAPES = [
  'near{n}',
  'n{n}',
  'near/{n}',
  'within {n} of',
  '<{n}>',
  '/{n}/',
  '~{n}',
  'w/{n}',
  '({n}w)',
  'in {n} words of',
]
const HEADING_SHAPES: ((code: string) => {
  plain: string
  below: string
  main: string
  belowMain: string
})[] = [
  (c) => ({
    plain: `${c}={label}`,
    below: `${c}>={label}`,
    main: `${c}!={label}`,
    belowMain: `${c}>!={label}`,
  }),
  (c) => ({
    plain: `{label}[${c}]`,
    below: `{label}[${c}>]`,
    main: `{label}[${c}=]`,
    belowMain: `{label}[${c}>=]`,
  }),
  () => ({ plain: `{label}^`, below: `all {label}^`, main: `!{label}^`, belowMain: `all !{label}^` }),
  (c) => ({
    plain: `${c}({label})`,
    below: `${c}+({label})`,
    main: `m${c}({label})`,
    belowMain: `m${c}+({label})`,
  }),
  (c) => ({
    plain: `${c}/{label}`,
    below: `${c}.all/{label}`,
    main: `${c}.main/{label}`,
    belowMain: `${c}.am/{label}`,
  }),
  (c) => ({
    plain: `"{label}".${c}.`,
    below: `"{label}".${c}x.`,
    main: `"{label}".${c}m.`,
    belowMain: `"{label}".${c}xm.`,
  }),
  (c) => ({
    plain: `${c}:"{label}"`,
    below: `${c}:"{label}/all"`,
    main: `${c}:"{label}/main"`,
    belowMain: `${c}:"{label}/all/main"`,
  }),
  () => ({ plain: '<{label}>', below: '<{label} ..>', main: '<={label}>', belowMain: '<={label} ..>' }),
  (c) => ({
    plain: `${c}: {label}`,
    below: `${c} and narrower: {label}`,
    main: `main ${c}: {label}`,
    belowMain: `main ${c} and narrower: {label}`,
  }),
]
const SETS: readonly (readonly Field[])[] = [
  ['title'],
  TEXT_FIELDS,
  ['title', 'abstract'],
  ['abstract'],
  ['keywords'],
  ['subject'],
  ['author'],
  ['journal'],
]
const BINDINGS: Profile['operators']['binding'][] = [
  [['not'], ['and'], ['or']],
  [['and', 'or', 'not']],
  [['not'], ['or'], ['and']],
  [['not'], ['and', 'or']],
]
export type FieldShape = keyof typeof FIELD_SHAPES
export interface Drawn {
  readonly description: Profile
  /** Undefined: rows of a form. */
  readonly fieldShape: FieldShape | undefined
  readonly lineShape: (typeof LINE_SHAPES)[number] | undefined
}
const shapes = Object.keys(FIELD_SHAPES) as FieldShape[]
const maybe = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> => fc.option(value, { nil: undefined })

export const anyDescription: fc.Arbitrary<Drawn> = fc
  .record({
    signs: fc.shuffledSubarray(SIGNS, { minLength: SIGNS.length, maxLength: SIGNS.length }),
    codes: fc.shuffledSubarray(CODES, { minLength: CODES.length, maxLength: CODES.length }),
    fieldShape: fc.constantFrom(...shapes),
    sets: fc.shuffledSubarray([...SETS], { minLength: 3, maxLength: SETS.length }),
    lineShape: maybe(fc.constantFrom(...LINE_SHAPES)),
    list: fc.constantFrom('none', 'of', 'brackets'),
    range: maybe(fc.constantFrom('{from}-{to}', '{from} to {to}', '{from}:{to}')),
    separator: fc.constantFrom(', ', ',', ' ', '; '),
    near: fc.option(fc.constantFrom(...NEAR_SHAPES), { nil: undefined }),
    ordered: fc.boolean(),
    counts: fc.constantFrom('between' as const, 'steps' as const),
    operators: fc.constantFrom('words', 'capitals', 'signs', 'other words'),
    noNot: fc.nat(4),
    binding: fc.constantFrom(...BINDINGS),
    sideBySide: fc.constantFrom('all' as const, 'phrase' as const, 'any' as const),
    quotes: fc.constantFrom<[string, string]>(['"', '"'], ['"', '"'], ["'", "'"], ['«', '»']),
    quotesExact: fc.boolean(),
    quotesSigns: fc.boolean(),
    stemming: fc.constantFrom('none' as const, 'plurals' as const, 'stems' as const),
    one: fc.boolean(),
    upTo: fc.boolean(),
    truncated: fc.nat(9),
    left: fc.boolean(),
    inside: fc.boolean(),
    shortestStem: fc.constantFrom(0, 0, 3),
    headings: maybe(fc.constantFrom(...HEADING_SHAPES)),
    headingLevels: fc.nat(3),
    classes: fc.boolean(),
    reach: fc.constantFrom<Reach | undefined>(undefined, undefined, ...REACHES),
    together: maybe(fc.constantFrom(',', ', ', '+')),
    also: fc.nat(4),
    spares: fc.nat(9),
    rows: fc.nat(6),
    cap: fc.constantFrom(undefined, undefined, undefined, 80, 140),
  })
  .map((d): Drawn => {
    const code = (): string => d.codes.pop()!
    const levels = d.headings?.(code())
    const sign = (): string => d.signs.pop()!
    const words = d.operators === 'other words' ? ['plus', 'else', 'minus'] : ['and', 'or', 'not']
    const ops = d.operators === 'signs' ? ['&', '|', '!'] : words
    const signed = d.operators === 'signs' ? d.signs.filter((s) => !ops.includes(s)) : d.signs
    d.signs.splice(0, d.signs.length, ...signed)
    // A database that wants to be understood uses no sign twice; now and then one does.
    const used =
      (levels ? Object.values(levels).join('') : '') +
      FIELD_SHAPES[d.fieldShape]('') +
      (d.near ?? '') +
      (d.lineShape ?? '')
    if (d.spares) d.signs.splice(0, d.signs.length, ...d.signs.filter((s) => !used.includes(s)))
    const any = sign()
    const one = sign()
    const more = sign()
    const fields = d.sets.map((of) => ({
      of: [...of],
      form: FIELD_SHAPES[d.fieldShape](code()),
      ...(d.reach ? { reach: d.reach } : {}),
    }))
    const list = { of: 'any of {list}', brackets: 'any({list})', none: undefined }[d.list]
    return {
      fieldShape: d.rows ? d.fieldShape : undefined,
      lineShape: d.lineShape,
      description: {
        id: 'drawn',
        name: 'Drawn',
        kind: 'other',
        operators: {
          and: [ops[0]!],
          or: [ops[1]!],
          ...(d.noNot ? { not: [ops[2]!] } : {}),
          capitals: d.operators === 'capitals',
          binding: d.noNot
            ? d.binding
            : d.binding.map((g) => g.filter((op) => op !== 'not')).filter((g) => g.length > 0),
        },
        brackets: { open: '(', close: ')' },
        sideBySide: d.sideBySide,
        quotes: { open: d.quotes[0], close: d.quotes[1], exact: d.quotesExact, signs: d.quotesSigns },
        stemming: d.stemming,
        stopWords: [],
        truncation: {
          ...(d.truncated ? { any } : {}),
          ...(d.one ? { one } : {}),
          ...(d.upTo && d.truncated ? { upTo: `${more}{n}` } : {}),
          left: d.left,
          inside: d.inside,
          shortestStem: d.shortestStem,
        },
        ...(d.near
          ? {
              nearness: {
                either: d.near,
                ...(d.ordered ? { ordered: d.near.replace('{n}', '{n}f') } : {}),
                counts: d.counts,
                most: 50,
              },
            }
          : {}),
        fields: d.rows ? fields : [],
        ...(d.rows
          ? {}
          : {
              rows: {
                fields: [
                  { of: ['any' as const], name: 'Anywhere' },
                  ...d.sets.map((of) => ({ of: [...of], name: `Words in ${of.join(' and ')}` })),
                ],
                joins: d.noNot
                  ? ['and' as const, 'or' as const, 'not' as const]
                  : ['and' as const, 'or' as const],
                most: 6,
              },
            }),
        ...(d.together ? { together: d.together } : {}),
        any: ['title', 'abstract', 'keywords', 'subject'],
        ...(levels
          ? {
              headings: {
                plain: levels.plain,
                ...(d.headingLevels > 0 ? { below: levels.below } : {}),
                ...(d.headingLevels > 1 ? { main: levels.main } : {}),
                ...(d.headingLevels > 2 ? { belowMain: levels.belowMain } : {}),
              },
            }
          : {}),
        ...(d.classes ? { classes: { plain: `cc={code}`, below: `cc>={code}` } } : {}),
        ...(d.lineShape
          ? {
              lines: {
                reference: d.lineShape,
                ...(d.also || d.lineShape === '{n}' ? {} : { also: ['{n}'] }),
                ...(list ? { anyOf: list, allOf: list.replace('any', 'all') } : {}),
                ...(d.range ? { range: d.range } : {}),
                separator: d.separator,
                kept: 'session' as const,
              },
            }
          : {}),
        limits: {},
        caps: d.cap ? { longestQuery: d.cap } : {},
        habits: [],
      },
    }
  })

/** Words that are spelled like something else in one database or another. */
const TRICKY = [
  'q1',
  'zz',
  'in',
  'near5',
  'n3',
  '2020',
  'and',
  'plus',
  'or',
  'NEAR',
  'S5',
  'set12',
  'any',
  'of',
  'l',
  'x5w',
  'all',
  'row',
]
const LABELS = [
  'Sound and light',
  'Noise (sound)',
  'all rooms',
  'Pupils, 6-12',
  "Teachers' rooms",
  'Titel: x',
  '3',
  'Rooms/halls',
  'narrower',
]

/** The words, headings and phrases of an expression put in place of those of another: what is likely to be misread. */
export const tricky = (expressions: fc.Arbitrary<Expr>): fc.Arbitrary<Expr> =>
  fc
    .tuple(
      expressions,
      fc.infiniteStream(fc.nat(5)),
      fc.infiniteStream(fc.constantFrom(...TRICKY)),
      fc.infiniteStream(fc.constantFrom(...LABELS)),
    )
    .map(([e, when, words, labels]) => {
      const next = <T>(stream: Iterator<T>): T => stream.next().value as T
      const change = (part: Expr): Expr => {
        const changed = next(when) === 0
        if (part.kind === 'word') return changed ? readWord(next(words), [0, 0]) : part
        if (part.kind === 'phrase')
          return changed
            ? { kind: 'phrase', words: [next(words), ...part.words], loose: true as const }
            : part
        if (part.kind === 'heading') return changed ? { ...part, label: next(labels) } : part
        return mapChildren(part, change)
      }
      return withoutPlaces(change(e))
    })
