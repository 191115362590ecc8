import type { Source, WebPage } from '../../review'
import type { FactContext } from '../facts'
import { otherWays, wasGone } from '../ways-gone'
import { searchedIn } from '../standing'
import { saying } from './saying'

export type OtherKind = Exclude<Source['kind'], 'database'>

interface OtherWay {
  sourceId: string
  kind: OtherKind
  reason: string
  /** The first, second, … of them. */
  nth: number
  /** No database was searched or is to be. */
  alone: boolean
}

/** Done shows only where a way brought records, or where what was done on it was noted. */
const gone = ({ review, figures }: FactContext, id: string): boolean =>
  id in figures.brought || wasGone(review, id)
/** Ways that were gone, by source. */
export const waysGone = (c: FactContext): string[] => otherWays(c.review).filter((id) => gone(c, id))
const inShort = (c: FactContext): boolean => c.review.account.length === 'short'

const wayOf = (c: FactContext, id: string): OtherWay => {
  const { kind, why } = c.review.sources.find((s) => s.id === id)!
  const all = [...waysGone(c), ...otherWays(c.review).filter((w) => !gone(c, w))]
  const databases = c.review.sources.some((s) => s.kind === 'database') || searchedIn(c.review).length > 0
  return { sourceId: id, kind: kind as OtherKind, reason: why, nth: all.indexOf(id), alone: !databases }
}

/** Each way that is no database, and was gone. In short, several are told in one sentence. */
export const wayGone = saying<OtherWay>({
  family: 'other ways',
  groups: (c) => (inShort(c) && waysGone(c).length > 1 ? [] : waysGone(c)),
  along: 'ways',
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  core: true,
  finds: { when: {}, found: wayOf },
})

/** All of them, where a section is short. */
export const waysAtOnce = saying<{ ways: { sourceId: string; kind: OtherKind }[]; sourceIds: string[] }>({
  family: 'other ways at once',
  groups: (c) => (inShort(c) && waysGone(c).length > 1 ? [''] : []),
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  core: true,
  finds: {
    when: {},
    found: (c) => ({
      ways: waysGone(c).map((id) => ({ sourceId: id, kind: wayOf(c, id).kind })),
      sourceIds: waysGone(c),
    }),
  },
})

/** Ways that are planned only. */
export const wayPlanned = saying<OtherWay>({
  family: 'other ways',
  groups: (c) => otherWays(c.review).filter((id) => !gone(c, id)),
  place: { theme: 'where', phase: 'planned', stage: 'question' },
  core: true,
  finds: { when: {}, found: wayOf },
})

const pagesOf = ({ review }: FactContext, id: string): WebPage[] =>
  (review.pages ?? []).filter((p) => p.sourceId === id && p.seen)
const JUDGED = ['publisher', 'dated', 'evidence', 'purpose'] as const

/** How many pages were noted, and what was noted of every one of them. */
export const pagesNoted = saying<{ sourceId: string; count: number; of: (typeof JUDGED)[number][] }>({
  family: 'pages',
  groups: ({ review }) => otherWays(review),
  along: 'ways',
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  finds: {
    when: { seen: (c, of) => pagesOf(c, of).length > 0 },
    found: (c, sourceId) => {
      const pages = pagesOf(c, sourceId)
      return {
        sourceId,
        count: pages.length,
        of: JUDGED.filter((what) => pages.every((p) => p[what].trim())),
      }
    },
  },
})
