import { thousands } from '../../base'
import type { Term } from '../../review'
import { termWords } from '../documents/grid'
import { cell, type Block } from '../documents/tree'
import { text } from '../document'
import { nameOf } from '../facts/fact'
import type { AppendixContext } from './context'

const KINDS = { text: 'word', heading: 'heading', named: 'name', class: 'code' } as const

/** How many works hold a term: a word in the work's title, abstract or keywords; a heading itself, not its narrower ones. */
const held = (works: number | undefined, { kind, withNarrower }: Term): string =>
  works === undefined
    ? '–'
    : `${thousands(works)}${kind === 'heading' && withNarrower ? ', the heading itself' : ''}`

const WHERE_HELD =
  'A word is held in title, abstract or keywords; one for a single source is counted among the works found there. A heading is held by a record of the source whose thesaurus it is from, as its main focus where that was asked.'

/** A: every term by concept, with where it came from, how many works hold it, and why it was dropped if it was. */
export function termsAppendix(c: AppendixContext): Block[] {
  const { review, yields } = c
  const blocks = review.concepts.flatMap((concept): Block[] => {
    const own = review.terms.filter((t) => t.conceptId === concept.id)
    if (!own.length) return []
    return [
      {
        kind: 'table',
        caption: [text(`Terms for ${concept.name}`)],
        head: ['Term', 'Kind', 'Source', 'Came from', ...(yields ? ['Works that hold it'] : []), 'Status'],
        rows: own.map((t) => [
          cell(t.kind === 'text' ? t.expression : termWords(t)),
          cell(KINDS[t.kind]),
          cell(t.sourceId === 'all' ? 'every source' : nameOf(c, t.sourceId)),
          cell(t.from ? `${t.origin}: ${t.from}` : t.origin),
          ...(yields ? [cell(held(yields.get(t.id), t))] : []),
          cell(t.reason ? `${t.status}: ${t.reason}` : t.status),
        ]),
        ...(yields ? { notes: [[text(WHERE_HELD)]] } : {}),
        mono: [0],
      },
    ]
  })
  return blocks
}
