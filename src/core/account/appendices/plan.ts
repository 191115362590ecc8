import { limitWords } from '../../query'
import { searchedIn, limitApplied } from '../standing'
import { cell, type Block } from '../documents/tree'
import { text } from '../document'
import { askedWords, dateWords } from '../words'
import type { AppendixContext } from './context'

const APPLIED = {
  applied: 'applied',
  'not available': 'not available',
  'not applied': 'not set',
  open: 'not run yet',
  unknown: 'not known',
} as const

/** C: each planned limit, why, and what became of it in each database. */
export function limitsAppendix(c: AppendixContext): Block[] {
  const { review } = c
  const sources = searchedIn(review)
  if (!review.limits.length) return []
  return [
    {
      kind: 'table',
      caption: [text('Limits, and what became of them')],
      head: ['Limit', 'Why', ...sources.map((s) => c.source(s.id)?.short ?? s.name)],
      rows: review.limits.map((planned) => [
        cell(limitWords(planned.limit)),
        cell(planned.reason),
        ...sources.map((s) => {
          const became = limitApplied(c, planned, s.id)
          if (became !== 'stood in') return cell(APPLIED[became])
          const by = c.source(s.id)?.profile?.limits[planned.limit.kind]?.standIn
          return cell(by ? `${by} stood in for it` : 'something stood in for it')
        }),
      ]),
      ...(sources.length > 2 ? { wide: true as const } : {}),
    },
  ]
}

/** D: the questions of each pass, and the versions in which they were named. */
export function criteriaAppendix({ review }: AppendixContext): Block[] {
  const asked = review.criteria.filter((k) => k.text.trim())
  if (!asked.length) return []
  const versions = review.criteriaVersions ?? []
  return [
    ...(['broad', 'close'] as const).flatMap((pass): Block[] => {
      const own = asked.filter((k) => k.pass === pass)
      return own.length
        ? [
            {
              kind: 'paragraph',
              content: [text(pass === 'broad' ? 'Asked of title and abstract:' : 'Asked of the full text:')],
            },
            {
              kind: 'list',
              ordered: true,
              items: own.map((k) => cell(askedWords(k))),
            },
          ]
        : []
    }),
    ...(versions.length
      ? [
          {
            kind: 'list',
            ordered: false,
            items: versions.map((v) =>
              cell(`Version “${v.name}”, ${dateWords(v.at)}: ${v.criteria.map((k) => k.text).join(' ')}`),
            ),
          } satisfies Block,
        ]
      : []),
  ]
}
