import { reasonWords } from '../../selection'
import { text } from '../document'
import type { Block } from '../documents/tree'
import type { AppendixContext } from './context'

/** E: works that went out on their full text, each with its one main reason. */
export const excludedAppendix = ({ excluded = [], review }: AppendixContext): Block[] =>
  excluded.length
    ? [
        {
          kind: 'table',
          caption: [text('Works set aside on their full text, each with the main reason')],
          head: ['Work', 'Reason'],
          rows: excluded.map((w) => [
            w.reference,
            [text(w.reason === 'none' ? 'no reason noted' : reasonWords(review, w.reason))],
          ]),
        },
      ]
    : []

/** F: the works included, as references. */
export const includedAppendix = ({ included = [] }: AppendixContext): Block[] =>
  included.map((w) => ({ kind: 'paragraph', content: w.reference }))

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
