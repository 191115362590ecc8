import { thousands } from '../../base'
import { termWords } from '../documents/grid'
import { cell, type Block } from '../documents/tree'
import { text } from '../document'
import { nameOf } from '../facts/fact'
import type { AppendixContext } from './context'

const KINDS = { text: 'word', heading: 'heading', named: 'name', class: 'code' } as const

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
          ...(yields ? [cell(yields.has(t.id) ? thousands(yields.get(t.id)!) : '–')] : []),
          cell(t.reason ? `${t.status}: ${t.reason}` : t.status),
        ]),
        mono: [0],
      },
    ]
  })
  return blocks
}
