import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { limitHonour, limitState, readProfile } from '../profile'
import { LIMIT_KINDS } from '../query'
import { tell } from '../figures'
import { emptyReview, worksOf, type Line, type Review, type Run } from '../review'
import { lineKeys } from '../strategy'
import { allStrategiesText, draftAccount, inlinesOf, inlineWords, strategyText, type FactContext } from '.'

const line = (id: string, text: string, more: Partial<Line> = {}): Line => ({
  id,
  text,
  limits: [],
  note: '',
  drafted: false,
  ...more,
})
const LINES = [
  line('a', 'text: (noise OR hum)', { note: 'words\tof the grid' }),
  line('b', '#1', { limits: [{ kind: 'years', from: 2017, to: 2026 }] }),
]
const keys = lineKeys(LINES)
const run = (lineId: string, number: number, hits: number, sent: string): Run => ({
  id: `r${lineId}`,
  sourceId: 's',
  lineId,
  key: keys.get(lineId)!,
  number,
  text: '',
  sent,
  limits: [],
  hits,
  at: '2026-11-18T08:47:00Z',
  by: 'M. Osei',
  release: '',
  how: 'by hand',
})
const review: Review = {
  ...emptyReview('r'),
  sources: [
    {
      id: 's',
      kind: 'database',
      name: 'Lantern Index',
      why: '',
      platform: 'the reading room',
      coverage: '1990 to 2026',
    },
    { id: 't', kind: 'database', name: 'Empty Index', why: '' },
    { id: 'p', kind: 'people', name: 'two acousticians', why: 'they know of more' },
  ],
  strategies: { s: LINES, t: [] },
  runs: [run('a', 1, 1204, 'topic:(noise or hum)')],
}
const context: FactContext = {
  review,
  figures: tell(
    review,
    worksOf(review, () => undefined),
  ).figures,
  source: () => ({ release: 'through the reading room', hasVocabulary: false }),
}

describe('a strategy line by line', () => {
  it('says where, through what, when, by whom, every line as it was sent, its limits and hits', () => {
    const rows = strategyText(context, review.sources[0]!).split('\n')
    expect(rows.slice(0, 4)).toEqual([
      'Lantern Index',
      'Coverage: 1990 to 2026',
      'Searched: through the reading room',
      'Run on 18 November 2026 by M. Osei',
    ])
    expect(rows).toContain('1\ttopic:(noise or hum)\t\t1,204\t18 November 2026\tNote: words of the grid')
    expect(rows).toContain('2\t#1\t2017–2026\tnot run as it stands')
  })
  it('has a line that was not sent yet as it would be, so that it can be put in there', () => {
    const lantern = readProfile({
      ...{ id: 'lantern', name: 'Lantern Index', kind: 'other', sideBySide: 'all' },
      operators: { and: ['and'], or: ['or'], not: ['except'], binding: [['not'], ['and'], ['or']] },
      quotes: { open: '"', close: '"' },
      fields: [{ of: ['title', 'abstract', 'keywords'], form: 'topic:({expr})' }],
      any: ['title', 'abstract', 'keywords'],
      lines: { reference: 'line {n}', kept: 'session' },
      limits: { years: { form: 'year:{from}-{to}' } },
    })
    if (!lantern.ok) throw new Error(lantern.problems.map((x) => x.message).join())
    const described = {
      ...context,
      source: () => ({ release: '', hasVocabulary: false, profile: lantern.value }),
    }
    const rows = strategyText(described, review.sources[0]!).split('\n')
    expect(rows).toContain('2\tline 1 and year:2017-2026\t2017–2026\tnot run as it stands')
  })
  it('leaves out sources without lines where all are asked for', () => {
    expect(allStrategiesText(context)).not.toContain('Empty Index')
  })
})

describe('the account of sources', () => {
  const text = draftAccount(context)
    .filter((p) => p.id === 'where')
    .flatMap((p) => [...inlinesOf(p)].map((n) => inlineWords(context, n)))
    .join('')
  it('names other ways to look as planned, not as done', () => {
    expect(text).toContain('We plan to ask two acousticians as well, because they know of more.')
  })
})

describe('how a source honours a limit', () => {
  it('says the same as its state, for every kind and every source', () => {
    for (const profile of Object.values(PROFILES))
      for (const kind of LIMIT_KINDS) {
        const honour = limitHonour(kind, profile)
        expect(honour.state).toBe(limitState(kind, profile))
        if (honour.state === 'not available') expect(honour.how).toContain('no limit by')
        if (honour.state === 'stood in') expect(honour.how).toContain('stood in for by')
      }
  })
})
