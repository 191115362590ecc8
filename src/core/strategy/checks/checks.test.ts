import { describe, expect, it } from 'vitest'
import { buildIndex } from '../../engine'
import type { Profile } from '../../profile'
import { parse, type LimitValue } from '../../query'
import { PROFILES } from '../../../standins/profiles'
import { spellingPairs } from '../words'
import { CONCEPTS, PLAN, fixed, read, remarksIn, term, thesaurus, type Given } from './checks.fixture'
import { checkStrategy, ELEMENTS, remarkKey, RULES } from '.'

const remarks = remarksIn(PROFILES.mindmere!)

const codes = (given: Given): string[] => remarks(given).map((r) => r.code)
const years: LimitValue = { kind: 'years', from: 2010, to: 2026 }
const MINE: Profile = {
  ...PROFILES.mindmere!,
  quotes: { open: '"', close: '"', exact: true, signs: false },
  truncation: { any: '*', left: false, inside: false, shortestStem: 4 },
  caps: { exported: 2 },
}

// Each rule with a case that trips it and one that does not.
const CASES: [code: string, trips: Given, quiet: Given][] = [
  ['no-words', { lines: [], terms: [term('b', 'heading', 'Sound')] }, { lines: [] }],
  [
    'no-heading',
    { lines: [], terms: [term('b', 'text', 'noise')] },
    { lines: [], terms: [term('b', 'text', 'noise')], vocabulary: false },
  ],
  ['concept-missing', { lines: [{ text: 'rooms', conceptId: 'a' }] }, { lines: [{ text: 'noise' }] }],
  [
    'optional-asked',
    { lines: [{ text: 'rooms', conceptId: 'a' }, { text: 'noise' }, { text: '#1 AND #2', conceptId: '' }] },
    { lines: [{ text: 'noise' }, { text: 'reading' }, { text: '#1 AND #2', conceptId: '' }] },
  ],
  [
    'mixed-operators',
    { lines: [{ text: 'noise OR rooms AND reading' }] },
    { lines: [{ text: 'noise OR (rooms AND reading)' }] },
  ],
  [
    'not-loses',
    { lines: [{ text: 'noise NOT hearing' }], wanted: [2] },
    { lines: [{ text: 'noise NOT hearing' }], wanted: [0] },
  ],
  [
    'near-wide',
    { lines: [{ text: 'noise NEAR/20 reading' }] },
    { lines: [{ text: 'noise NEAR/5 reading' }] },
  ],
  [
    'near-narrow',
    { lines: [{ text: 'noise NEAR/1 reading' }] },
    { lines: [{ text: 'noise NEAR/3 reading' }] },
  ],
  ['entry-term', { lines: [{ text: 'heading: "Echo"' }] }, { lines: [{ text: 'heading: "Hearing"' }] }],
  [
    'heading-unknown',
    { lines: [{ text: 'heading: "Hearin"' }] },
    { lines: [{ text: 'heading: "Hearing"' }] },
  ],
  [
    'narrower-forgotten',
    { lines: [{ text: 'heading: "Room acoustics"' }] },
    { lines: [{ text: 'heading.below: "Room acoustics"' }] },
  ],
  [
    'related-missed',
    { lines: [{ text: 'heading.below: "Room acoustics"' }], wanted: [2] },
    { lines: [{ text: 'heading.below: "Room acoustics" OR heading: "Hearing"' }], wanted: [2] },
  ],
  ['spelling-missing', { lines: [{ text: 'behaviour' }] }, { lines: [{ text: 'behaviour OR behavior' }] }],
  [
    'stem-too-short',
    { lines: [{ text: 'read*' }], wanted: [0, 1, 3] },
    { lines: [{ text: 'reading*' }], wanted: [0, 1, 3] },
  ],
  [
    'stem-in-quotes',
    { lines: [{ text: '"sound field*"' }], profile: MINE },
    { lines: [{ text: '"sound field*"' }] },
  ],
  [
    'dead-part',
    { lines: [{ text: 'noise OR roo*' }], profile: MINE },
    { lines: [{ text: 'noise OR room*' }], profile: MINE },
  ],
  ['broken-line', { lines: [{ text: 'noise AND (' }] }, { lines: [{ text: 'noise' }] }],
  [
    'wrong-reference',
    { lines: [{ text: '#2' }, { text: 'noise' }] },
    { lines: [{ text: 'noise' }, { text: '#1' }] },
  ],
  ['dead-part', { lines: [{ text: 'nosie' }] }, { lines: [{ text: 'noise' }] }],
  ['dead-line', { lines: [{ text: 'ready AND behavior' }] }, { lines: [{ text: 'noise AND behaviour' }] }],
  [
    'unused-line',
    { lines: [{ text: 'noise' }, { text: 'rooms' }, { text: '#2' }] },
    { lines: [{ text: 'noise' }, { text: '#1' }] },
  ],
  [
    'covered',
    {
      lines: [
        { text: 'rooms', conceptId: 'a' },
        { text: 'room* OR rooms', conceptId: 'a' },
      ],
    },
    {
      lines: [
        { text: 'rooms', conceptId: 'a' },
        { text: 'rooms OR reading', conceptId: 'a' },
      ],
    },
  ],
  [
    'twice',
    { lines: [{ text: 'noise' }, { text: 'noise' }, { text: 'any(#1-#2)' }] },
    { lines: [{ text: 'noise' }, { text: 'reading' }, { text: 'any(#1-#2)' }] },
  ],
  [
    'field-missing',
    { lines: [{ text: 'abstract: noise' }], profile: PROFILES.quayside! },
    { lines: [{ text: 'title: noise' }], profile: PROFILES.quayside! },
  ],
  ['cap', { lines: [{ text: 'noise' }], profile: MINE }, { lines: [{ text: 'rooms' }], profile: MINE }],
  [
    'limit-forgotten',
    { lines: [{ text: 'noise' }], limits: [years] },
    { lines: [{ text: 'noise', limits: [years] }], limits: [years] },
  ],
  [
    'limit-lost',
    { lines: [{ text: 'noise' }, { text: '#1', limits: [years] }, { text: '#1' }], limits: [years] },
    { lines: [{ text: 'noise' }, { text: '#1', limits: [years] }, { text: '#2' }], limits: [years] },
  ],
  [
    'limit-other',
    { lines: [{ text: 'noise', limits: [{ kind: 'years', from: 1990, to: 2026 }] }], limits: [years] },
    { lines: [{ text: 'noise', limits: [years] }], limits: [years] },
  ],
  [
    'limit-unavailable',
    { lines: [{ text: 'noise', limits: [{ kind: 'open access' }] }] },
    { lines: [{ text: 'noise', limits: [years] }] },
  ],
  [
    'small-operator',
    { lines: [{ text: 'noise AND "and" AND reading' }], profile: PROFILES.quayside! },
    { lines: [{ text: 'noise AND "and" AND reading' }] },
  ],
  ['side-by-side', { lines: [{ text: 'noise reading' }] }, { lines: [{ text: 'noise AND reading' }] }],
]

describe('what a librarian would remark (PRESS 2015, six elements)', () => {
  it.each(CASES)('%s is said where it is so, and not where it is not', (code, trips, quiet) => {
    expect(codes(trips)).toContain(code)
    expect(codes(quiet)).not.toContain(code)
  })

  it('covers every element of the guideline, with a reason beside every remark', () => {
    const given = CASES.flatMap(([, trips]) => remarks(trips))
    expect(new Set(given.map((r) => r.element))).toEqual(new Set(ELEMENTS))
    expect(RULES.length).toBeGreaterThanOrEqual(20)
    for (const r of given) {
      expect(r.message.length).toBeGreaterThan(10)
      expect(r.why.length).toBeGreaterThan(10)
    }
  })

  it('offers fixes that can be read and remove the remark', () => {
    for (const [code, trips] of CASES) {
      const found = remarks(trips).find((r) => r.code === code && r.fixes.length)
      const [fix] = found?.fixes ?? []
      if (!found || !fix) continue
      const lines = trips.lines.map((l, i) => (`l${i + 1}` === fix.lineId ? fixed(l, fix) : l))
      expect(parse(fix.text).problems.filter((p) => p.severity === 'error')).toEqual([])
      expect(remarks({ ...trips, lines }).map(remarkKey)).not.toContain(remarkKey(found))
    }
  })

  it('sees an optional concept wherever it is asked for, and not where it may be absent', () => {
    const asks = (...texts: string[]) =>
      remarks({
        lines: [
          { text: 'rooms', conceptId: 'a' },
          { text: 'noise' },
          { text: 'reading' },
          ...texts.map((text) => ({ text, conceptId: '' })),
        ],
        wanted: [0, 1],
      }).flatMap((r) => (r.code === 'optional-asked' ? [r.message] : []))
    const said = (n: number) =>
      `Line ${n} asks for A Setting, which is optional; 1 wanted record does not name it.`
    expect(asks('#1 AND #2')).toEqual([said(4)])
    expect(asks('all(#1-#3)')).toEqual([said(4)])
    expect(asks('(#1 AND #2) NOT hearing')).toEqual([said(4)])
    expect(asks('#1 OR classrooms', '#4 AND #2')).toEqual([said(5)])
    expect(asks('(#1 OR #2) AND #3')).toEqual([])
    expect(asks('#2 AND #3', '#4 NOT #1')).toEqual([])
    expect(asks('#1', '#1 OR #2')).toEqual([])
  })

  it('joins with the operator that was meant, where a small one was searched as a word', () => {
    const fix = (text: string) =>
      remarks({ lines: [{ text }], profile: PROFILES.quayside! }).find((r) => r.code === 'small-operator')!
        .fixes[0]?.text
    expect(fix('noise AND "or" AND sound')).toBe('noise OR sound')
    expect(fix('noise AND "not" AND sound')).toBe('noise NOT sound')
    // Two of them in one row may be meant in more than one way.
    expect(fix('noise AND "or" AND sound AND "and" AND rooms')).toBeUndefined()
  })

  /** What is remarked on lines that were run by hand outside: their hits are all that is known of them. */
  const outside = (
    lines: { text: string; hits: number | undefined; limits?: LimitValue[] }[],
    limits: LimitValue[] = [],
  ) =>
    checkStrategy({
      concepts: CONCEPTS,
      terms: PLAN,
      limits,
      sourceId: 's',
      profile: MINE,
      lines: lines.map((l, i) => ({
        id: `l${i + 1}`,
        number: i + 1,
        limits: [],
        conceptId: 'b',
        ...read(l.text),
        docs: undefined,
        losses: [],
        ...l,
      })),
      searched: false,
      index: buildIndex([]),
      thesaurus,
      pairs: spellingPairs({ behavior: 'behaviour' }, { behaviour: 'behavior' }),
      wanted: new Set(),
      unwanted: new Set(),
      find: () => Uint32Array.of(),
      lossesOf: () => [],
      limited: (docs) => docs,
    })

  it('says of a strategy whose records lie outside only what needs no records', () => {
    const found = outside(
      [
        { text: 'noise', hits: 900 },
        { text: 'behavior', hits: 0 },
        { text: 'heading: "Echo"', hits: undefined },
        { text: 'any(#1-#3)', hits: 912 },
      ],
      [years],
    ).map((r) => r.code)
    expect(found).toEqual(
      expect.arrayContaining(['entry-term', 'spelling-missing', 'dead-line', 'cap', 'limit-forgotten']),
    )
    for (const code of [
      'broken-line',
      'and-adds-nothing',
      'dead-part',
      'related-missed',
      'not-loses',
      'stem-too-short',
      'count-impossible',
    ])
      expect(found).not.toContain(code)
  })

  it('names a count that the lines below it make impossible', () => {
    const said = (...joined: { text: string; hits: number; limits?: LimitValue[] }[]) =>
      outside([{ text: 'noise', hits: 100 }, { text: 'rooms', hits: 30 }, ...joined]).flatMap((r) =>
        r.code === 'count-impossible' ? [r.message] : [],
      )
    expect(said({ text: '#1 AND #2', hits: 31 })).toEqual([
      'Line 3 has 31 hits; by the lines it is built on it has at most 30.',
    ])
    expect(said({ text: '#1 OR #2', hits: 131 })[0]).toContain('at most 130')
    expect(said({ text: 'any(#1-#2)', hits: 99 })[0]).toContain('at least 100')
    expect(said({ text: '#1 NOT #2', hits: 69 })[0]).toContain('at least 70')
    expect(said({ text: '#1', hits: 101, limits: [years] })[0]).toContain('at most 100')
    expect(said({ text: '#1 AND reading', hits: 101 })[0]).toContain('at most 100')
    for (const fine of [
      { text: '#1 AND #2', hits: 30 },
      { text: 'all(#1-#2)', hits: 0 },
      { text: '#1 OR #2', hits: 100 },
      { text: '#1 OR reading', hits: 5000 },
      { text: '#1 NOT #2', hits: 70 },
      { text: '#1', hits: 4, limits: [years] },
      { text: 'any(#1-#2)', hits: 12, limits: [years] },
      { text: '#9 AND #2', hits: 30 },
    ])
      expect(said(fine), fine.text).toEqual([])
  })

  it('remembers a remark by its rule, place and matter, so that leaving it once is enough', () => {
    const once = remarks({ lines: [{ text: 'heading: "Echo"' }] }).map(remarkKey)
    expect(remarks({ lines: [{ text: 'heading: "Echo"' }] }).map(remarkKey)).toEqual(once)
    expect(new Set(once).size).toBe(once.length)
  })
})

describe('a sign for any ending where all forms are looked for anyway', () => {
  const stems = remarksIn({ ...PROFILES.girder! })
  const codes = (text: string): string[] =>
    stems({ lines: [{ text }] }).flatMap((r) => (r.code === 'stemming-off' ? [r.message] : []))

  it('is remarked on where the word by itself brings more, with the change that brings it', () => {
    const [remark] = stems({ lines: [{ text: 'text: studies*' }], wanted: [7] }).filter(
      (r) => r.code === 'stemming-off',
    )
    expect(remark).toBeDefined()
    expect(remark!.fixes[0]!.text).toBe('text: (studies* OR studies)')
  })

  it('is left alone where nothing more is found, and where no forms are looked for', () => {
    expect(codes('text: soundfield*')).toEqual([])
    const plain = remarksIn(PROFILES.fernhollow!)
    expect(
      plain({ lines: [{ text: 'text: studies*' }], wanted: [7] }).filter((r) => r.code === 'stemming-off'),
    ).toEqual([])
  })
})
