import { reasonWords } from '../../selection'
import { text, type Inline } from '../document'
import type { Block } from '../documents/tree'
import type { AppendixContext, Referenced } from './context'

/** The reference, and beside it what was said of the work since. */
const told = ({ reference, notices = [] }: Referenced): Inline[] => [
  ...reference,
  ...(notices.length
    ? [text(` [${notices.length === 1 ? 'A notice' : 'Notices'} on it: ${notices.join('; ')}]`)]
    : []),
]

/** A reason in words; where questions are asked, one that is none of them says so. */
function mainReason(review: AppendixContext['review'], reason: string): string {
  if (reason === 'none') return 'no reason noted'
  const words = reasonWords(review, reason)
  const asked = review.criteria.some((q) => q.text.trim())
  return asked && reason.startsWith('words:') ? `${words} (none of the questions asked)` : words
}

/** E: works that went out on their full text, each with its one main reason. */
export const excludedAppendix = ({ excluded = [], review }: AppendixContext): Block[] =>
  excluded.length
    ? [
        {
          kind: 'table',
          caption: [text('Works set aside on their full text, each with the main reason')],
          head: ['Work', 'Reason'],
          rows: excluded.map((w) => [told(w), [text(mainReason(review, w.reason))]]),
        },
      ]
    : []

/** F: the works included, as references. */
export const includedAppendix = ({ included = [] }: AppendixContext): Block[] =>
  included.map((w) => ({ kind: 'paragraph', content: told(w) }))

/** G: from what was identified to what is included. */
export const flowAppendix = ({ flow }: AppendixContext): Block[] =>
  flow
    ? [
        {
          kind: 'figure',
          id: 'flow',
          caption: [text('From records identified to works included (after PRISMA 2020)')],
          svg: flow.svg,
          alt: flow.text,
        },
      ]
    : []
