import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex, lift, logLikelihood, type DocSet } from '../../engine'
import { emptyRecord, toDocument, type Rec } from '../../records'
import { harvestSource, rankHarvest } from './harvest'
import { nameForms, namedText } from '../lines/named'
import { placeTerm, planAgainstRun } from '../draft/plan-against-run'
import type { PlanTerm } from '../draft/draft'
import type { LineLike } from '../lines/keys'

describe('log-likelihood (Dunning 1993)', () => {
  // G² is twice the number of documents times the mutual information of the table: another way to the same number.
  const byInformation = (good: number, goods: number, rest: number, rests: number): number => {
    const n = goods + rests
    const entropy = (...counts: number[]): number =>
      -counts.filter(Boolean).reduce((h, c) => h + (c / n) * Math.log(c / n), 0)
    const rows = entropy(good + rest, n - good - rest)
    const columns = entropy(goods, rests)
    return 2 * n * (rows + columns - entropy(good, rest, goods - good, rests - rest))
  }
  it('is twice the documents times their mutual information, for any table', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.nat(500), fc.nat(5000), fc.nat(5000), (a, b, c, d) => {
        const value = logLikelihood(a, a + b, c, c + d)
        expect(value).toBeGreaterThanOrEqual(0)
        if (a + b && c + d) expect(value).toBeCloseTo(byInformation(a, a + b, c, c + d), 5)
      }),
    )
  })
  it('is nothing where both sides have it equally often, and grows with the difference', () => {
    expect(logLikelihood(10, 100, 100, 1000)).toBeCloseTo(0, 10)
    expect(logLikelihood(30, 100, 100, 1000)).toBeGreaterThan(logLikelihood(20, 100, 100, 1000))
    expect(logLikelihood(0, 0, 5, 10)).toBe(0)
  })
  it('lift says how many times more often than at large', () => {
    expect(lift(20, 40, 50, 100)).toBe(1)
    expect(lift(40, 40, 50, 100)).toBe(2)
    expect(lift(0, 0, 5, 10)).toBe(0)
  })
})

describe('harvesting from good records', () => {
  const about = (n: number, title: string, headings: string[], keywords: string[] = []): Rec => ({
    ...emptyRecord(String(n), title),
    headings: headings.map((label) => ({ label, main: false })),
    keywords,
  })
  const records = [
    ...Array.from({ length: 5 }, (_, n) =>
      about(n, `Signal-to-noise ratio in rooms of school ${n}`, ['Auditory masking'], ['babble']),
    ),
    ...Array.from({ length: 60 }, (_, n) => about(10 + n, `Homework in rooms of school ${n}`, ['Homework'])),
  ]
  const index = buildIndex(records.map(toDocument))
  const harvest = (good: number[]) =>
    rankHarvest([harvestSource('s', index, (d) => records[d]!, Uint32Array.from(good) as DocSet)])

  it('offers headings, keywords and runs of words that stand out, and not what stands everywhere', () => {
    const found = harvest([0, 1, 2, 3, 4])
    expect(found.map((h) => [h.kind, h.text])).toEqual(
      expect.arrayContaining([
        ['heading', 'Auditory masking'],
        ['keyword', 'babble'],
        ['words', '"noise ratio"'],
      ]),
    )
    expect(found.map((h) => h.text)).not.toContain('rooms')
    expect(found[0]).toMatchObject({ good: 5, goods: 5, rest: 0, rests: 60 })
  })

  it('offers nothing where no record is good, or all are', () => {
    expect(harvest([])).toEqual([])
    expect(harvest(records.map((_, i) => i))).toEqual([])
  })
})

describe('names', () => {
  it('are written as databases write them', () => {
    const forms = ['Ahola, Riikka Maria', 'Ahola, Riikka', 'Ahola, R. M.', 'Ahola, R.']
    expect(nameForms('Ahola, Riikka Maria')).toEqual(forms)
    expect(nameForms('Riikka Maria Ahola')).toEqual(forms)
    expect(nameForms('Jan van den Berg')[0]).toBe('van den Berg, Jan')
    expect(nameForms('Ahola, R.')).toEqual(['Ahola, R.'])
    expect(nameForms('Ahola')).toEqual(['Ahola'])
    expect(nameForms('  ')).toEqual([])
  })
  it('go to the field of their sort, each form once', () => {
    expect(namedText('author', ['Ahola, R.', 'ahola r'])).toBe('author: "ahola r"')
    expect(namedText('place studied', ['Norway', 'Noreg'])).toBe('place: (norway OR noreg)')
    expect(namedText('identifier', ['—'])).toBeUndefined()
  })
})

describe('plan against run', () => {
  const term = (expression: string, more: Partial<PlanTerm> = {}): PlanTerm => ({
    conceptId: 'b',
    sourceId: 'all',
    kind: 'text',
    expression,
    withNarrower: false,
    mainFocus: false,
    status: 'in use',
    ...more,
  })
  const lines = (...texts: string[]): LineLike[] =>
    texts.map((text, i) => ({ id: `l${i}`, text, limits: [] }))
  const own = { hasVocabulary: true, truncates: true }
  const heading = term('Room acoustics', { kind: 'heading', sourceId: 's', withNarrower: true })

  it('names planned terms that no line has, and words in lines that nobody planned', () => {
    const { unused, unplanned } = planAgainstRun(
      [term('noise'), term('reverberat*'), term('"sound field"', { status: 'dropped' }), heading],
      {
        s: lines('text: (Noise OR babble OR "sound field")', 'heading: "Room acoustics" OR heading: "Echo"'),
      },
      () => own,
    )
    expect(unused.map((u) => u.term.expression)).toEqual(['reverberat*'])
    expect(unplanned.map((u) => [u.number, u.kind, u.text])).toEqual([
      [1, 'text', 'babble'],
      [1, 'text', '"sound field"'],
      [2, 'heading', 'Echo'],
    ])
  })

  it('knows a truncated word in its forms where a source has no sign for truncation, and nowhere else', () => {
    const terms = [term('reverberat*'), term('"primary school*"'), term('amplif*')]
    const there = { s: lines('text: (reverberating OR reverberation OR "Primary school" OR school)') }
    const plain = planAgainstRun(terms, there, () => ({ ...own, truncates: false }))
    expect(plain.unused.map((u) => u.term.expression)).toEqual(['amplif*'])
    expect(plain.unplanned.map((u) => u.text)).toEqual(['school'])
    expect(planAgainstRun(terms, there, () => own).unused).toHaveLength(3)
  })

  it('compares no source without lines, and no heading where there is no vocabulary', () => {
    expect(planAgainstRun([term('noise'), heading], { s: [] }, () => own)).toEqual({
      unused: [],
      unplanned: [],
    })
    expect(
      planAgainstRun([heading], { s: lines('noise') }, () => ({ ...own, hasVocabulary: false })).unused,
    ).toEqual([])
  })

  it('puts a planned term into the line of its concept, by OR, and nowhere else', () => {
    const at = (text: string, conceptId?: string) => ({ id: text, text, limits: [], conceptId })
    const sheet = [
      at('text: noise', 'b'),
      at('heading: "Echo"', 'b'),
      at('any(#1-#2)', 'b'),
      at('text: read*', 'c'),
    ]
    expect(placeTerm(term('babble'), sheet)?.text).toBe('text: (noise OR babble)')
    expect(placeTerm(heading, sheet)).toEqual({
      lineId: 'heading: "Echo"',
      text: 'heading: "Echo" OR heading.below: "Room acoustics"',
    })
    expect(placeTerm(term('author: "ahola r"', { kind: 'named' }), sheet)?.text).toBe(
      'text: noise OR author: "ahola r"',
    )
    expect(placeTerm(term('pupil*', { conceptId: 'a' }), sheet)).toBeUndefined()
    expect(placeTerm(term('noise AND ('), sheet)).toBeUndefined()
  })
})
