import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord, type Rec } from '../record'
import { truthOf, without, type Truth } from './dirt.fixture'
import { wilson } from '../../base'
import { findPartition, RULES, rulesOf, type PartitionFound, type Rules } from '.'
import { trials } from '../../base/trials.fixture'

const atLeast = (part: number, whole: number): number => wilson(part, whole).from

/** Pairs after closure: joined rightly and wrongly, and of those that belong together, how many are found or asked. */
function measure({ records, workOf }: Truth, { classes, toSettle }: PartitionFound) {
  const pairs = (sizes: Iterable<number>): number => [...sizes].reduce((n, s) => n + (s * (s - 1)) / 2, 0)
  const count = (names: readonly string[]): number[] => {
    const by = new Map<number, number>()
    for (const name of names) by.set(workOf.get(name)!, (by.get(workOf.get(name)!) ?? 0) + 1)
    return [...by.values()]
  }
  const joined = pairs(classes.map((c) => c.length))
  const right = classes.reduce((n, c) => n + pairs(count(c)), 0)
  const all = pairs(count(records.map((r) => r.name)))
  const classOf = new Map(classes.flatMap((c, n) => c.map((name) => [name, n] as const)))
  // A pair to settle, said rightly, joins its two classes.
  let asked = 0
  for (const { a, b } of toSettle) {
    const [one, other] = [classes[classOf.get(a)!]!, classes[classOf.get(b)!]!]
    for (const x of one) for (const y of other) if (workOf.get(x) === workOf.get(y)) asked++
  }
  return {
    all,
    joined,
    right,
    wrong: joined - right,
    found: right + asked,
    open: toSettle.length,
    records: records.length,
  }
}

const found = ({ records }: Truth, rules: Rules = RULES): PartitionFound =>
  findPartition(
    records.map((r) => r.name),
    records.map((r) => r.record),
    () => undefined,
    rules,
  )

describe.each([1, 2])(
  'duplicates in lists of which the truth is known, by the rules of version %i',
  (version) => {
    const rules = rulesOf(version)!
    const truth = truthOf(2600, 20261126)
    const result = found(truth, rules)
    const m = measure(truth, result)

    it('are joined for certain only where they are, and nearly all are joined or asked about', () => {
      // For whoever reads the numbers: pairs, and the lower ends of their intervals.
      expect(m.all).toBeGreaterThanOrEqual(3000)
      const said = `${m.records} records, ${m.all} true pairs; joined ${m.joined}, wrongly ${m.wrong} (precision at least ${atLeast(m.right, m.joined).toFixed(5)}); joined or asked ${m.found} (recall at least ${atLeast(m.found, m.all).toFixed(4)}); to settle ${m.open}`
      expect(m.right / m.joined, said).toBeGreaterThanOrEqual(0.999)
      expect(m.found / m.all, said).toBeGreaterThanOrEqual(0.98)
      expect(m.open / m.records, said).toBeLessThanOrEqual(0.03)
    })

    it('are the same whatever the order of the records', () => {
      const small = truthOf(120, 7)
      const { classes, toSettle } = found(small, rules)
      const key = (c: readonly (readonly string[])[]): string[] =>
        c.map((x) => [...x].sort().join(' ')).sort()
      fc.assert(
        fc.property(fc.shuffledSubarray(small.records, { minLength: small.records.length }), (records) => {
          const other = found({ ...small, records }, rules)
          expect(key(other.classes)).toEqual(key(classes))
          expect(other.toSettle).toEqual(toSettle)
        }),
        { numRuns: 20 },
      )
    })
  },
)

describe.each([1, 2])('a pair, by the rules of version %i', (version) => {
  const { print: printOf, judge, plainlyDifferent } = rulesOf(version)!
  const one: Rec = {
    ...emptyRecord('1', 'Corridor noise and word reading: a field study'),
    authors: ['Ekström, Maja', 'Rößler, Hugo'],
    year: 2014,
    journal: 'Journal of Classroom Acoustics',
    volume: '7',
    issue: '2',
    pages: '41–58',
    doi: '10.5555/a.1',
    type: 'journal article',
  }
  const against = (more: Partial<Rec>) => judge(printOf(one), printOf({ ...one, ...more }))

  it('is one work in spite of how databases print it', () => {
    for (const more of [
      { title: 'CORRIDOR NOISE AND WORD READING: A FIELD STUDY' },
      { title: '<i>Corridor</i> noise &amp; word reading: a field study' },
      { title: '{C}orridor noise and word \\emph{reading}: a field study' },
      { title: 'Corridor noise and word reading' },
      { authors: ['Ekstrom, M.', 'Roessler, H.'] },
      { authors: ['M Ekström'] },
      { journal: 'J. Class. Acoust.', pages: '041-58' },
      { year: 2015 },
    ])
      expect(judge(printOf(without(one, 'doi')), printOf({ ...without(one, 'doi'), ...more })).class).toBe(
        'certain',
      )
  })

  it('is never one work where it is another version, a notice, a part, or comes again every year', () => {
    expect(against({ type: 'conference paper', year: 2013, pages: '3–9' }).veto).toContain('conference')
    expect(against({ title: `Erratum: ${one.title}` }).veto).toContain('correction')
    expect(against({ title: `Retraction: ${one.title}` }).veto).toContain('retraction')
    expect(against({ doi: '10.5555/a.2', pages: '99–110' }).veto).toContain('DOI')
    const parts = [1, 2].map((n) => printOf({ ...one, title: `Corridor noise and word reading. Part ${n}` }))
    expect(judge(parts[0]!, parts[1]!).veto).toContain('series')
    const editorial = { ...without(one, 'doi'), title: 'Editorial' }
    expect(judge(printOf(editorial), printOf({ ...editorial, year: 2016, volume: '9' })).veto).toContain(
      version === 1 ? 'every year' : 'many works',
    )
  })

  it('says what it was judged by, in words', () => {
    const { signals } = against({ doi: '10.5555/a.1', journal: 'J Classroom Acoust' })
    expect(signals.map((s) => s.words)).toEqual([
      'the same DOI',
      'the same title',
      'the same authors',
      'the same year',
      'the same journal, abbreviated in one',
      'the same volume',
      'the same issue',
      'the same first page',
    ])
  })

  it('is plainly different only where it would be judged so', () => {
    const { records } = truthOf(150, 3)
    const prints = records.map((r) => printOf(r.record))
    for (const a of prints)
      for (const b of prints)
        if (a !== b && plainlyDifferent(a, b)) expect(judge(a, b).class).toBe('different')
  })

  it('shares an author who stands twice in one list and once in the other once, the same both ways', () => {
    const of = (...authors: string[]): Rec => ({
      ...emptyRecord('x'),
      title: 'Rooms that echo in the afternoon',
      authors,
      year: 2020,
    })
    const [twice, once] = [
      printOf(of('Osei, M.', 'Osei, K.', 'Prins, L.')),
      printOf(of('Osei, M.', 'Ebers, T.', 'Prins, L.')),
    ]
    expect(judge(twice, once)).toEqual(judge(once, twice))
    expect(judge(twice, once).signals.find((s) => s.of === 'authors')).toMatchObject({
      same: 'near',
      words: '2 of 3 authors shared',
    })
  })

  it('of any records at all is judged without failing, the same both ways', () => {
    const text = fc.oneof(
      fc.string(),
      fc.constantFrom('Part II', '{\\"o}', '<b>', '&#0;', '\u0000', 'Editorial'),
    )
    const any = fc
      .record({
        title: text,
        authors: fc.array(text, { maxLength: 3 }),
        pages: text,
        volume: text,
        doi: text,
        type: text,
      })
      .map((r): Rec => ({ ...emptyRecord('x'), ...r }))
    fc.assert(
      fc.property(any, any, (a, b) => {
        const [one, other] = [printOf(a), printOf(b)]
        expect(judge(one, other).class).toBe(judge(other, one).class)
        if (plainlyDifferent(one, other)) expect(judge(one, other).class).toBe('different')
      }),
      { numRuns: trials(250, 500) },
    )
  })
})
