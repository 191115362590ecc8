import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { buildIndex, type DocSet } from '../../engine'
import type { Profile } from '../../profile'
import type { LimitValue } from '../../query'
import { emptyRecord, toDocument, type Rec } from '../../records'
import { readOutline, Thesaurus } from '../../vocabulary'
import type { PlanTerm } from '../draft/draft'
import { finalNumber } from '../lines/keys'
import { runStrategy } from '../run/run'
import type { StepContext } from './step'
import { adviseSteps, STEP_MAKERS, type Advised, type CountedStep, type Offered, type StepLine } from '.'

const thesaurus = new Thesaurus(
  readOutline('Sound\n  Noise\n    Traffic noise\nReading', { id: 'v', title: 'V', version: '' }).vocabulary,
)
let next = 0
const rec = (title: string, more: Partial<Rec> = {}): Rec => ({
  ...emptyRecord(String(next++), title),
  year: 2020,
  language: 'en',
  ...more,
})
const head = (label: string, main = false): Partial<Rec> => ({ headings: [{ label, main }] })
const RECORDS = [
  rec('Noise and reading in class', head('Noise', true)),
  rec('Noise', { abstract: 'reading of pupils', year: 2012 }),
  rec('Classrooms', {
    abstract: 'noise where many words stand between the one and the other and then only reading',
  }),
  rec('Reading', { ...head('Noise') }),
  rec('Reading aloud', { ...head('Traffic noise') }),
  rec('Noises and reading', { language: 'de' }),
  rec('Babble and reading in class'),
  rec('Reading comprehension under noise', { year: 2024 }),
  rec('Comprehension of reading and noise'),
  rec('Noise, told of by Reading Press', { journal: 'Reading Press' }),
]
const index = buildIndex(RECORDS.map(toDocument))
const source = {
  index,
  options: { headings: (l: string, below: boolean) => thesaurus.foldedLabels(l, below) },
}
const CONCEPTS = [
  { id: 'a', letter: 'A', name: 'Setting', essential: false },
  { id: 'b', letter: 'B', name: 'Sound', essential: true },
  { id: 'c', letter: 'C', name: 'Outcome', essential: true },
]
const LINES: StepLine[] = [
  { id: '1', text: 'text: class*', conceptId: 'a', limits: [] },
  { id: '2', text: 'text: noise', conceptId: 'b', limits: [] },
  { id: '3', text: 'heading: "Noise"', conceptId: 'b', limits: [] },
  { id: '4', text: 'any(#2-#3)', conceptId: 'b', limits: [] },
  { id: '5', text: 'text: (reading OR "reading comprehension")', conceptId: 'c', limits: [] },
  { id: '6', text: 'all(#4, #5)', limits: [] },
]
const term = (conceptId: string, expression: string): PlanTerm => ({
  conceptId,
  sourceId: 'all',
  kind: 'text',
  expression,
  withNarrower: false,
  mainFocus: false,
  status: 'in use',
})

interface Given {
  lines?: StepLine[]
  profile?: Profile
  limits?: LimitValue[]
  terms?: PlanTerm[]
  offers?: Offered[]
  remarks?: NonNullable<StepContext['remarks']>
  wanted?: number[]
}
function advise({
  lines = LINES,
  profile = PROFILES.mindmere!,
  limits = [],
  terms = [],
  offers = [],
  remarks = [],
  wanted = [],
}: Given): Advised & { find: (l: readonly StepLine[]) => DocSet | undefined } {
  const find = (l: readonly StepLine[]): DocSet | undefined =>
    runStrategy({ ...source, profile }, l)[finalNumber(l) - 1]?.docs
  const run = adviseSteps(
    { concepts: CONCEPTS, lines, profile, limits, terms, offers, remarks },
    find,
    new Set(wanted),
  )
  for (;;) {
    const step = run.next()
    if (step.done) return { ...step.value, find }
  }
}
const step = (given: Given, code: string): CountedStep | undefined => {
  const { fewer, more } = advise(given)
  return [...fewer, ...more].find((s) => s.code === code)
}
const replaced = (n: number, text: string, limits: LimitValue[] = []): StepLine[] =>
  LINES.map((l, i) => (i === n - 1 ? { ...l, text, limits } : l))
const YEARS: LimitValue = { kind: 'years', from: 2010, to: 2026 }

// Each step with a case that offers it and one that does not.
const CASES: [code: string, offers: Given, quiet: Given][] = [
  [
    'title-only',
    {},
    { lines: replaced(2, 'title: noise').map((l) => (l.id === '5' ? { ...l, text: 'title: reading' } : l)) },
  ],
  ['near-instead', {}, { profile: PROFILES.fernhollow! }],
  ['ask-optional', {}, { lines: replaced(6, 'all(#1, #4, #5)') }],
  ['main-focus', {}, { lines: replaced(3, 'heading.main: "Noise"') }],
  ['without-narrower', { lines: replaced(3, 'heading.below: "Noise"') }, {}],
  [
    'planned-limit',
    { limits: [{ kind: 'years', from: 2015, to: 2026 }] },
    { limits: [{ kind: 'place', values: ['x'] }] },
  ],
  ['later-years', { lines: [...LINES, { id: '7', text: '#6', limits: [YEARS] }] }, {}],
  [
    'spelling-missing',
    {
      remarks: [
        {
          code: 'spelling-missing',
          why: 'w',
          fixes: [{ label: 'Add babble', lineId: '2', text: 'text: (noise OR babble)' }],
        },
      ],
    },
    { remarks: [{ code: 'spelling-missing', why: 'w', fixes: [] }] },
  ],
  ['planned-terms', { terms: [term('b', 'babble')] }, { terms: [term('b', 'noise')] }],
  [
    'harvested',
    { offers: [{ conceptId: 'b', kind: 'text', text: 'babble' }] },
    { offers: [{ conceptId: 'b', kind: 'text', text: 'zebra' }] },
  ],
  ['with-narrower', {}, { lines: replaced(3, 'heading.below: "Noise"') }],
  ['any-focus', { lines: replaced(3, 'heading.main: "Noise"') }, {}],
  [
    'truncate',
    {},
    { lines: replaced(2, 'text: noise*').map((l) => (l.id === '5' ? { ...l, text: 'text: read*' } : l)) },
  ],
  [
    'loosen',
    { lines: replaced(5, 'text: "reading comprehension"') },
    { lines: replaced(5, 'text: reading') },
  ],
  [
    'all-fields',
    {},
    { lines: replaced(2, 'noise').map((l) => (l.id === '5' ? { ...l, text: 'reading' } : l)) },
  ],
  ['drop-concept', {}, { lines: LINES.slice(0, 4) }],
  [
    'drop-limit',
    { lines: [...LINES, { id: '7', text: '#6', limits: [{ kind: 'years', from: 2019, to: 2026 }] }] },
    {},
  ],
]

describe('steps to fewer or more', () => {
  it.each(CASES)(
    '%s is offered where it makes a difference, and not where it makes none',
    (code, offered, quiet) => {
      expect(step(offered, code)).toBeDefined()
      expect(step(quiet, code)).toBeUndefined()
    },
  )

  it('has a case for every maker', () => {
    expect(CASES.length).toBe(STEP_MAKERS.length)
  })

  it('counts beforehand what the strategy really finds then, in the direction that was asked', () => {
    for (const [, given] of CASES) {
      const wanted = [0, 4, 6]
      const { now, fewer, more, find } = advise({ ...given, wanted })
      for (const s of [...fewer, ...more]) {
        const docs = find(s.lines)!
        expect(s.hits, s.label).toBe(docs.length)
        expect(s.wanted).toBe(wanted.filter((d) => docs.includes(d)).length)
        expect(Math.sign(s.hits - now!.hits)).toBe(s.direction === 'fewer' ? -1 : 1)
      }
    }
  })

  // Common practice: title only finds a part of what title, abstract and keywords find; nearness a part of AND.
  it('finds with title only and with nearness a part of what was found', () => {
    for (const code of ['title-only', 'near-instead', 'main-focus', 'ask-optional']) {
      const { fewer, find } = advise({})
      const all = new Set(find(LINES))
      for (const s of fewer.filter((x) => x.code === code))
        for (const d of find(s.lines)!) expect(all).toContain(d)
    }
  })

  it('puts first what loses no wanted record, and what brings one', () => {
    const { fewer, more } = advise({
      wanted: [3, 6],
      offers: [{ conceptId: 'b', kind: 'text', text: 'babble' }],
    })
    expect(fewer.map((s) => s.wanted)).toEqual([...fewer.map((s) => s.wanted)].sort((a, b) => b - a))
    expect(more[0]!.wanted).toBe(2)
  })

  it('has nothing to say of a strategy that cannot be run', () => {
    expect(advise({ lines: [{ id: '1', text: 'noise AND (', limits: [] }] })).toMatchObject({
      now: undefined,
      fewer: [],
      more: [],
    })
    expect(advise({ lines: [] })).toMatchObject({ now: undefined })
  })
})
