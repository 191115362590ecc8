import { describe, expect, it } from 'vitest'
import { inBuckets } from '../base'
import { emptyReview, type Review, type Ruled, type Ruling, type Work, type WorkRuling } from '../review'
import {
  askedDone,
  gaveNothing,
  ownCounts,
  placeOf,
  readersOfWork,
  readingCopy,
  readingDone,
  readingWords,
  reasonsOffered,
  reasonWords,
  rulesOf,
  toSettleIn,
  wayWords,
  worksAsked,
  wrongInWay,
} from '.'

const WORKS: Work[] = ['i/1', 'i/2', 'i/3', 'i/4', 'i/5'].map((id) => ({
  id,
  records: [id],
  former: [],
  sources: ['s'],
}))
type Own = [reader: string, verdict: Ruling['verdict'], more?: Partial<WorkRuling>][]
const ruledBy = (said: Record<string, Own>, pass: 'broad' | 'close' = 'broad'): Ruled => ({
  works: { works: WORKS, known: new Map(), toSettle: [], oldNames: new Map() },
  rulings: {},
  byWork: inBuckets(
    Object.entries(said).map(([id, own]) => [
      id,
      Object.fromEntries(
        own.map(([reader, verdict, more]) => [
          `${pass}/${reader}`,
          { recordId: id, pass, reader, verdict, ...more },
        ]),
      ),
    ]),
  ),
  lost: [],
})
const placed =
  (ruled: Ruled, rules = rulesOf({})) =>
  (id: string) =>
    placeOf(
      Object.values(ruled.byWork)
        .map((bucket) => bucket[id])
        .find(Boolean),
      undefined,
      rules,
    )

describe('who owes what', () => {
  const ruled = ruledBy({
    'i/1': [
      ['P', 'in'],
      ['Q', 'out'],
    ],
    'i/2': [['P', 'out']],
    'i/3': [['P', 'in']],
    'i/4': [['P', 'out', { unread: true }]],
  })
  const done = (review: Pick<Review, 'readingPlans'>) =>
    readingDone(review, ruled, 'broad', WORKS, placed(ruled))

  it('is told by how many people read each work, and by the plan', () => {
    // Ruled with others unread, the fourth is not to be read at all.
    expect(readingWords(done({}))).toBe('read by two 1, by one 2; owed 1 first reading')
    const two = done({ readingPlans: { broad: { pass: 'broad', way: 'two each' } } })
    expect(readingWords(two)).toBe('read by two 1, by one 2; owed 2 second readings, 1 first')
    const share = (of: number) =>
      done({ readingPlans: { broad: { pass: 'broad', way: 'a share by two', share: of } } }).second
    expect([share(0.25), share(0.5), share(0.9)]).toEqual([0, 1, 2])
    expect(done({ readingPlans: { broad: { pass: 'broad', way: 'one each' } } }).second).toBeUndefined()
  })

  it('of an asking is how many of its works each reader has read', () => {
    const asked = {
      id: 'a',
      pass: 'broad' as const,
      called: '',
      records: ['i/1', 'i/2', 'i/5'],
      at: '',
      by: 'P',
    }
    expect(askedDone(asked, (id) => readersOfWork(ruled.byWork, id, 'broad'))).toEqual([
      { reader: 'P', read: 2 },
      { reader: 'Q', read: 1 },
    ])
  })
})

describe('a copy for reading', () => {
  const asked = { id: 'a', pass: 'broad' as const, called: '', records: ['i/2', 'i/9'], at: '', by: 'P' }
  it('names its works and passes, and is none where the review was not handed on for that', () => {
    expect(readingCopy({ asked: [asked] })).toBeUndefined()
    expect(readingCopy({ from: 'a', asked: [] })).toBeUndefined()
    const copy = readingCopy({ from: 'a', asked: [asked] })!
    expect(copy.passes).toEqual(['broad'])
    const of = worksAsked(copy, 'broad', WORKS)
    expect([...of]).toEqual(['i/2'])
    expect([...worksAsked(copy, 'close', WORKS)]).toEqual([])
    const ruled = ruledBy({ 'i/2': [['Q', 'in']], 'i/3': [['Q', 'out']] })
    expect(ownCounts(of, ruled, 'broad', 'Q')).toEqual({
      total: 1,
      in: 1,
      out: 0,
      unsure: 0,
      toSettle: 0,
      left: 0,
    })
  })
})

describe('what is to be settled', () => {
  it('are works that were ruled differently, and full texts that all set aside for different reasons', () => {
    const broad = ruledBy({
      'i/1': [
        ['P', 'in'],
        ['Q', 'out'],
      ],
      'i/2': [
        ['P', 'out', { criterionId: 'c1' }],
        ['Q', 'out', { criterionId: 'c2' }],
      ],
    })
    expect(toSettleIn(WORKS, placed(broad)).map((t) => [t.work.id, t.pass, t.why])).toEqual([
      ['i/1', 'broad', 'rulings'],
    ])
    const close = ruledBy(
      {
        'i/2': [
          ['P', 'out', { criterionId: 'c1' }],
          ['Q', 'out', { reason: 'no levels' }],
        ],
      },
      'close',
    )
    expect(toSettleIn(WORKS, placed(close)).map((t) => [t.work.id, t.pass, t.why])).toEqual([
      ['i/2', 'close', 'reasons'],
    ])
  })
})

describe('main reasons', () => {
  const review: Review = {
    ...emptyReview('r'),
    criteria: [
      { id: 'c1', text: 'Was sound measured?', pass: 'broad', sense: 'in', short: 'sound not measured' },
      { id: 'c2', text: 'Is it a study?', pass: 'close', sense: 'in' },
    ],
  }
  it('are offered from both passes and from what was given, its own first, and told as statements', () => {
    const ruled = ruledBy(
      {
        'i/1': [['P', 'out', { reason: 'no levels' }]],
        'i/2': [['P', 'out', { reason: 'no levels' }]],
        'i/3': [['P', 'out', { criterionId: 'c2' }]],
        'i/4': [['P', 'out', { reason: 'too short' }]],
      },
      'close',
    )
    expect(reasonsOffered(review, ruled, 'close').map((r) => [r.words, r.given])).toEqual([
      ['Is it a study?', 1],
      ['sound not measured', 0],
      ['no levels', 2],
      ['too short', 1],
    ])
    expect(['c1', 'c2', 'differ', 'none', 'words:no levels'].map((r) => reasonWords(review, r))).toEqual([
      'sound not measured',
      'Is it a study?',
      'reasons differ',
      'without a reason',
      'no levels',
    ])
  })
})

describe('another way', () => {
  const way = { id: 'w', sourceId: 's', how: 'read', day: '2026-11-25' }
  it('is told with what was counted, and says where it gave nothing new', () => {
    expect(wayWords({ ...way, of: ['i/1', 'i/2'], through: 'a library', named: 25, known: 25 })).toBe(
      'of 2 works, read; through a library; 25 named; 25 known already; it gave nothing new',
    )
    expect(wayWords({ ...way, where: 'the shelf', lookedThrough: 40, taken: 8, stopped: '1990' })).toBe(
      'the shelf, read; 40 looked through; 8 taken on; stopped at 1990',
    )
    expect([
      gaveNothing({ ...way, taken: 0 }),
      gaveNothing(way),
      gaveNothing({ ...way, named: 3, known: 1 }),
    ]).toEqual([true, false, false])
  })
  it('is not logged with numbers that cannot be', () => {
    expect(wrongInWay({ how: 'read', named: 3, known: 4 })).toBe('More are known than were named.')
    expect(wrongInWay({ how: 'read', lookedThrough: 3, taken: 4 })).toBe(
      'More are taken on than were looked through.',
    )
    expect(wrongInWay({ named: 3 })).toBe('Say of what, or how.')
    expect(wrongInWay({ how: 'read', named: 4, known: 3, taken: 1 })).toBeUndefined()
  })
})
