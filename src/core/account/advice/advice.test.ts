import { describe, expect, it } from 'vitest'
import { reachedBy } from '../../strategy'
import { draftAccount } from '../draft'
import { demoContext } from '../demo-context.fixture'
import { OTHERS } from '../other-reviews.fixture'
import type { FactContext } from '../facts'
import type { Passage } from '../document'
import { ADVICE_RULES, adviceOn } from '.'

type RuleName = keyof typeof ADVICE_RULES
type Change = (c: FactContext) => FactContext

const here = (): FactContext => OTHERS['one database']!()
/** The section as a person wrote it. */
const written = (text: string, c: FactContext = here()): Passage[] => [
  {
    id: 'where',
    title: 'Where and how we looked',
    edited: true,
    content: text.split('\n').map((t) => ({ type: 'paragraph', content: [{ type: 'text', text: t }] })),
    draft: [],
    drafted: draftAccount(c).flatMap((p) => p.drafted),
  },
]
const rulesIn = (text: string, change: Change = (c) => c): string[] => {
  const c = change(here())
  return adviceOn(c, written(text, c)).map((a) => a.rule)
}
const review =
  (part: Partial<FactContext['review']>): Change =>
  (c) => ({ ...c, review: { ...c.review, ...part } })
const figures =
  (part: Partial<FactContext['figures']>): Change =>
  (c) => ({ ...c, figures: { ...c.figures, ...part } })

const page = {
  id: 'w',
  sourceId: 's',
  address: 'https://schools.example',
  title: 'Quiet rooms',
  seen: '2026-05-04',
  searched: '',
  dated: '',
  purpose: '',
  evidence: 'measurements',
}
const contact = { id: 'c', sourceId: 's', who: 'A. Quill', way: 'letter', answered: '2026-05-06', what: '' }
const terms = Array.from({ length: 20 }, (_, n) => ({
  ...here().review.terms[0]!,
  id: `t${n}`,
  expression: `word${'abcdefghijklmnopqrst'[n]}`,
}))
const wording = (count: number): string =>
  `The words were ${terms
    .slice(0, count)
    .map((t) => t.expression)
    .join(', ')}.`

/** Of each rule, what trips it and what does not: a text, with a change of the record where it looks at that. */
const CASES: Record<RuleName, { trips: [string, Change?]; passes: [string, Change?] }> = {
  untrue: { trips: ['We searched six databases.'], passes: ['We searched one database.'] },
  'typed-number': { trips: ['We wrote to 57 schools.'], passes: ['We read works of many kinds.'] },
  sums: { trips: ['We read 30 of 20 works.'], passes: ['We read 20 of 30 works.'] },
  'plan-as-done': {
    trips: [
      'Fenland Index was searched in May.',
      (c) =>
        review({
          sources: [...c.review.sources, { id: 'x', kind: 'database', name: 'Fenland Index', why: '' }],
        })(c),
    ],
    passes: [
      'Fenland Index is still to be searched.',
      (c) =>
        review({
          sources: [...c.review.sources, { id: 'x', kind: 'database', name: 'Fenland Index', why: '' }],
        })(c),
    ],
  },
  'departure-reason': {
    trips: ['', departing({})],
    passes: ['', departing({ question: 'the first was too wide' })],
  },
  'criteria-missing': {
    trips: [
      '',
      (c) => figures({ broad: { ...c.figures.broad, in: 3, out: 4 } })(review({ criteria: [] })(c)),
    ],
    passes: [
      '',
      (c) =>
        figures({ broad: { ...c.figures.broad, in: 3, out: 4 } })(
          review({ criteria: [{ id: 'k', text: 'Is it told?', pass: 'broad', sense: 'in' }] })(c),
        ),
    ],
  },
  'reasons-missing': { trips: ['', reasoned('')], passes: ['', reasoned('no class')] },
  'limit-reason': { trips: ['', limited('')], passes: ['', limited('rules changed')] },
  'source-age': {
    trips: ['We searched one database.', review({ limits: [] })],
    passes: ['We took sources of any age.', review({ limits: [] })],
  },
  'database-untold': {
    trips: ['', outside({})],
    passes: ['', outside({ platform: 'the library', coverage: '1990 on' })],
  },
  'peer-review': {
    trips: ['Only peer-reviewed work counted.', peers],
    passes: [
      'Only peer-reviewed work counted; where it is not marked, the document type stood in for it.',
      peers,
    ],
  },
  'people-cited': {
    trips: ['We asked one acoustician.', review({ contacts: [contact] })],
    passes: ['We asked A. Quill (personal communication, 6 May 2026).', review({ contacts: [contact] })],
  },
  'web-credibility': {
    trips: ['', review({ pages: [{ ...page, publisher: '' }] })],
    passes: ['', review({ pages: [{ ...page, publisher: 'a school board' }] })],
  },
  'filter-unnamed': {
    trips: ['We searched.', noted('the filter for trials of our library')],
    passes: ['We searched with the filter for trials of our library.', noted('the filter for trials')],
  },
  'kept-where': {
    trips: ['We searched one database.'],
    passes: ['We searched one database; the strategy stands in Appendix B.'],
  },
  snowball: {
    trips: ['We went on by snowballing.'],
    passes: ['We went on by snowballing: the reference lists of all works kept were read once.'],
  },
  difficulty: {
    trips: ['Limiting by language was difficult.'],
    passes: ['Limiting by language was difficult because the index has no such field.'],
  },
  'term-count': {
    trips: [wording(20), review({ terms })],
    passes: [wording(8), review({ terms })],
  },
  'findings-voice': { trips: ['We found that noise harms reading.'], passes: ['We searched for noise.'] },
  tense: { trips: ['We exclude reports.'], passes: ['We excluded reports.'] },
  abbreviation: {
    trips: ['Reverberation was given as RTX.'],
    passes: ['Reverberation was given as reverberation time (RTX). RTX was kept.'],
  },
  'long-sentence': {
    trips: [`${Array.from({ length: 45 }, () => 'quiet').join(' ')}.`],
    passes: [`${Array.from({ length: 39 }, () => 'quiet').join(' ')}.`],
  },
  'word-twice': {
    trips: ['The measurement followed another measurement.'],
    passes: ['The measurement followed a survey.'],
  },
  'same-opening': { trips: ['We asked. We waited.'], passes: ['We asked. Then we waited.'] },
}

function departing(departures: Record<string, string>): Change {
  return (c) => {
    const plan = {
      question: 'another one?',
      framework: c.review.framework,
      concepts: c.review.concepts.map(({ id, letter, name, essential }) => ({ id, letter, name, essential })),
      alternatives: c.review.alternatives,
      sources: c.review.sources.map(({ id, kind, name, why }) => ({ id, kind, name, why })),
      limits: c.review.limits,
      criteria: c.review.criteria,
      knownItems: c.review.knownItems.map(({ id, title }) => ({ id, title })),
      readers: c.figures.readers.broad.length || 1,
    }
    return review({
      protocol: [{ id: 'v', at: '2026-05-01T09:00:00Z', readers: 1, seq: 1, plan }],
      departures,
    })(c)
  }
}
function reasoned(reason: string): Change {
  return (c) => {
    const [round] = c.figures.flow.rounds
    const column = { ...round!.columns[0]!, out: 2, outReasons: [{ reason, count: 2 }] }
    return figures({ flow: { ...c.figures.flow, rounds: [{ ...round!, columns: [column] }] } })(c)
  }
}
function limited(reason: string): Change {
  return review({ limits: [{ id: 'y', limit: { kind: 'years', from: 2015 }, reason }] })
}
function outside(more: object): Change {
  return (c) => ({
    ...review({
      sources: c.review.sources.map((s) => ({ ...s, ...more })),
      runs: c.review.runs.map(({ platform: _, ...r }) => ({ ...r, release: '' })),
    })(c),
    source: () => ({ release: '', hasVocabulary: false }),
  })
}
function peers(c: FactContext): FactContext {
  const limit = { kind: 'peer reviewed' as const }
  const strategies = Object.fromEntries(
    Object.entries(c.review.strategies).map(([id, lines]) => [
      id,
      lines.map((l, i) => (i === lines.length - 1 ? { ...l, limits: [limit] } : l)),
    ]),
  )
  const profile = c.source(c.review.sources[0]!.id)!.profile!
  const own = { ...profile, limits: { ...profile.limits, 'peer reviewed': { standIn: 'the document type' } } }
  return {
    ...review({
      limits: [{ id: 'p', limit, reason: 'judged' }],
      strategies,
      runs: c.review.runs.map((r) => ({ ...r, reached: reachedBy(strategies[r.sourceId]!, r.lineId) })),
    })(c),
    source: (id) => ({ ...c.source(id)!, profile: own as never }),
  }
}
function noted(note: string): Change {
  return (c) =>
    review({
      strategies: Object.fromEntries(
        Object.entries(c.review.strategies).map(([id, lines]) => [id, lines.map((l) => ({ ...l, note }))]),
      ),
    })(c)
}

describe('advice on the section', () => {
  for (const [rule, { trips, passes }] of Object.entries(CASES))
    it(`is given by the rule ${rule} where it is due, and not elsewhere`, () => {
      expect(rulesIn(...trips)).toContain(rule)
      expect(rulesIn(...passes)).not.toContain(rule)
    })

  it('is known again by its key, and says where', () => {
    const c = here()
    const [first] = adviceOn(c, written('We exclude reports.')).filter((a) => a.rule === 'tense')
    expect(first).toMatchObject({
      passage: 'where',
      words: 'We exclude reports.',
      key: 'tense/We exclude reports.',
    })
  })

  it('reads notes at the foot, points of a list and cells each for itself', () => {
    const c = here()
    const words = (text: string): object => ({ type: 'text', text })
    const paragraph = (...content: object[]): object => ({ type: 'paragraph', content })
    const cell = (text: string): object => ({ type: 'tableCell', content: [paragraph(words(text))] })
    const [part] = written('', c)
    part!.content = [
      paragraph(
        words('We asked.'),
        { type: 'footnote', attrs: { words: 'We exclude 57 reports. We waited.' } },
        words(' Then it rained.'),
      ),
      {
        type: 'bulletList',
        content: ['Rooms', 'Roofs of 61 halls'].map((t) => ({
          type: 'listItem',
          content: [paragraph(words(t))],
        })),
      },
      { type: 'table', content: [{ type: 'tableRow', content: [cell('Halls: 63.'), cell('Halls: 65.')] }] },
    ] as never
    const found = adviceOn(c, [part!]).map((a) => `${a.rule}: ${a.words ?? ''}`)
    expect(found).toEqual(
      expect.arrayContaining([
        'tense: We exclude 57 reports.',
        'typed-number: We exclude 57 reports.',
        'typed-number: Roofs of 61 halls',
        'typed-number: Halls: 63.',
        'typed-number: Halls: 65.',
      ]),
    )
    // The note's own sentences are neighbours; the last of one cell and the first of the next are not.
    expect(found.filter((f) => f.startsWith('same-opening'))).toEqual(['same-opening: We waited.'])
  })

  for (const [name, make] of Object.entries(OTHERS))
    it(`finds no fault of style in the draft of another review: ${name}`, () => {
      const c = make()
      expect(
        adviceOn(c, draftAccount(c))
          .filter((a) => !a.mend)
          .map((a) => a.message),
      ).toEqual([])
    })

  for (const voice of ['we', 'I', 'passive'] as const)
    for (const order of ['theme', 'time'] as const)
      for (const length of ['full', 'short'] as const)
        it(
          `finds nothing in the draft of the demo: ${voice}, by ${order}, ${length}`,
          { timeout: 120_000 },
          async () => {
            const demo = await demoContext()
            const c = {
              ...demo,
              review: { ...demo.review, account: { ...demo.review.account, voice, order, length } },
            }
            expect(adviceOn(c, draftAccount(c)).map((a) => `${a.message} ${a.words ?? ''}`)).toEqual([])
          },
        )
})
