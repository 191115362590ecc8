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

/** Is a reason a person’s own words, where there are questions that could have been the reason? */
const isOwn = (review: AppendixContext['review'], reason: string): boolean =>
  reason.startsWith('words:') && review.criteria.some((q) => q.text.trim())

/** E: works that went out on their full text, each with its one main reason. */
export const excludedAppendix = ({ excluded = [], review }: AppendixContext): Block[] =>
  excluded.length
    ? [
        {
          kind: 'table',
          caption: [text('Works set aside on their full text, each with the main reason')],
          head: ['Work', 'Reason'],
          rows: excluded.map((w) => [
            told(w),
            [
              text(w.reason === 'none' ? 'no reason noted' : reasonWords(review, w.reason)),
              ...(isOwn(review, w.reason) ? [text(' a', 'italic')] : []),
            ],
          ]),
          ...(excluded.some((w) => isOwn(review, w.reason))
            ? { notes: [[text('a ', 'italic'), text('none of the questions asked.')]] }
            : {}),
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
