import type { DocSet } from '../../engine'
import { languageName, limitWords, type LimitValue } from '../../query'
import { plain } from '../checks/change'
import { leavesOf, type ConceptEvidence, type Part, type SearchTree } from '../tree'

/** Why a search misses a record: a limit, a NOT, or words that it does not say. */
export type MissCause =
  | { kind: 'limit'; lines: number[]; limit: LimitValue }
  | { kind: 'not'; lines: number[]; by: string }
  | { kind: 'words'; lines: number[]; conceptId: string | undefined }

const has = (docs: DocSet | undefined, doc: number): boolean => {
  if (!docs) return false
  let [low, high] = [0, docs.length]
  while (low < high) {
    const middle = (low + high) >>> 1
    if (docs[middle]! < doc) low = middle + 1
    else high = middle
  }
  return docs[low] === doc
}

/**
 * All causes for which the line that counts misses a record, each of which alone would do: every part of an AND that misses it,
 * every limit that it does not meet, every NOT that takes it away. None where it is found, or where there is no such line.
 */
export function causesOf(search: SearchTree, about: ConceptEvidence, doc: number): MissCause[] {
  const one = Uint32Array.of(doc)
  const of = (part: Part): MissCause[] => {
    if (has(part.docs, doc)) return []
    const [first, ...rest] = part.parts
    switch (part.kind) {
      case 'and':
        return part.parts.flatMap(of)
      case 'limit': {
        const meets = search.source.limited(one, part.limit!).length > 0
        return [
          ...of(first!),
          ...(meets ? [] : [{ kind: 'limit' as const, lines: [part.line], limit: part.limit! }]),
        ]
      }
      case 'not': {
        const by = rest.filter((p) => has(p.docs, doc)).map((p) => plain(p.at))
        return [
          ...of(first!),
          ...(by.length ? [{ kind: 'not' as const, lines: [part.line], by: by.join(' OR ') }] : []),
        ]
      }
      default: {
        const lines = [...new Set(leavesOf(part).map((l) => l.line))].sort((a, b) => a - b)
        return [{ kind: 'words', lines, conceptId: about.of(part) }]
      }
    }
  }
  return search.root ? once(of(search.root)) : []
}

/** A line that is asked for by two ways is one cause. */
const once = (causes: readonly MissCause[]): MissCause[] => [
  ...new Map(causes.map((c) => [JSON.stringify(c), c])).values(),
]

/** What a record has where a limit looks. */
export interface LimitedRecord {
  year?: number | undefined
  language?: string | undefined
  type?: string | undefined
}

/** A cause in words, a part of a sentence: “years 2017–2026 in line 7 leave it out: it is of 2016”. */
export function causeWords(
  cause: MissCause,
  record: LimitedRecord,
  conceptName: (id: string) => string | undefined,
): string {
  const at = `${cause.lines.length === 1 ? 'line' : 'lines'} ${cause.lines.join(', ')}`
  if (cause.kind === 'not') return `NOT ${cause.by} in ${at} takes it away`
  if (cause.kind === 'words') {
    const name = cause.conceptId === undefined ? undefined : conceptName(cause.conceptId)
    return name
      ? `its record says other words for ${name} (${at})`
      : `${at} ${cause.lines.length === 1 ? 'does' : 'do'} not find it`
  }
  const { limit } = cause
  const own =
    limit.kind === 'years'
      ? record.year === undefined
        ? 'it has no year'
        : `it is of ${record.year}`
      : limit.kind === 'language'
        ? record.language
          ? `it is in ${languageName(record.language)}`
          : 'it names no language'
        : limit.kind === 'document type' && record.type
          ? `it is a ${record.type}`
          : undefined
  const words =
    limit.kind === 'years' || limit.kind === 'language'
      ? `${limit.kind} ${limitWords(limit)}`
      : limitWords(limit)
  return `${words} in ${at} leaves it out${own ? `: ${own}` : ''}`
}
