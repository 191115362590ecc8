import Papa from 'papaparse'
import { limitHonour, type Profile } from '../../profile'
import { limitWords } from '../../query'
import { cell, type Block, type DocumentTree } from './tree'
import { frameworkOf, sourceName, type Concept, type Review, type Source, type Term } from '../../review'

/** What is planned to be typed for a term, as people write it down: "Room acoustics (with narrower, main focus)". */
export function termWords(term: Term): string {
  const how = [...(term.withNarrower ? ['with narrower'] : []), ...(term.mainFocus ? ['main focus'] : [])]
  const name = term.named ? `${term.named.name} (${term.named.sort})` : term.expression
  return how.length ? `${name} (${how.join(', ')})` : name
}

/**
 * The term grid as comma-separated values (RFC 4180: CRLF, quotes doubled), one row a term, dropped ones with their
 * reason. Terms of concepts that are gone are left out, as they are in the grid.
 */
export function gridCsv(review: Review): string {
  const where = (id: string): string => (id === 'all' ? 'every source' : sourceName(review, id))
  const rows = review.concepts.flatMap((c) =>
    review.terms
      .filter((t) => t.conceptId === c.id)
      .map((t) => ({
        concept: c.letter,
        name: c.name,
        source: where(t.sourceId),
        kind: t.kind === 'text' ? 'text word' : t.kind,
        term: t.expression,
        'with narrower': t.withNarrower ? 'yes' : '',
        'main focus': t.mainFocus ? 'yes' : '',
        status: t.status,
        reason: t.reason ?? '',
        origin: t.from ? `${t.origin}: ${t.from}` : t.origin,
      })),
  )
  const fields = 'concept,name,source,kind,term,with narrower,main focus,status,reason,origin'.split(',')
  // A cell that begins like a formula would be one in a spreadsheet; `escapeFormulae` puts an apostrophe before it.
  return (
    Papa.unparse(
      { fields, data: rows.map((r) => fields.map((f) => r[f as keyof typeof r])) },
      { newline: '\r\n', escapeFormulae: true },
    ) + '\r\n'
  )
}

export interface SheetTable {
  head: string[]
  rows: string[][]
}
export interface SheetPart {
  title: string
  paragraphs: string[]
  table?: SheetTable
}
/** The plan as a worksheet: what a person hands to a librarian. Nothing in it depends on how it will be written. */
export interface Worksheet {
  title: string
  parts: SheetPart[]
}

/** The plan of a review as a worksheet: question, concepts, words and headings for each source, limits, criteria, sources. */
export function worksheet(review: Review, profileOf: (source: Source) => Profile | undefined): Worksheet {
  const databases = review.sources.filter((s) => s.kind === 'database')
  const own = (concept: Concept, sourceId: string): string =>
    review.terms
      .filter((t) => t.conceptId === concept.id && t.sourceId === sourceId && t.status === 'in use')
      .map(termWords)
      .join('; ')
  const indexed = review.sources.filter((s) => review.terms.some((t) => t.sourceId === s.id))
  const framework = frameworkOf(review.framework)
  const parts: SheetPart[] = [
    { title: 'Question', paragraphs: [review.question || 'Not written yet.'] },
    {
      title: 'Concepts',
      paragraphs: framework.roles.length ? [`Broken down by ${framework.name}.`] : [],
      table: {
        head: ['', 'Concept', 'Role', 'In the searches'],
        rows: review.concepts.map((c) => [
          c.letter,
          c.name,
          c.role ?? '',
          c.essential ? 'essential' : 'optional',
        ]),
      },
    },
    {
      title: 'Words and headings',
      paragraphs: [],
      table: {
        head: ['Concept', 'Text words, everywhere', ...indexed.map((s) => s.name)],
        rows: review.concepts.map((c) => [
          `${c.letter} ${c.name}`,
          own(c, 'all'),
          ...indexed.map(
            (s) =>
              own(c, s.id) ||
              (review.gaps.some((g) => g.conceptId === c.id && g.sourceId === s.id)
                ? 'nothing in this vocabulary'
                : ''),
          ),
        ]),
      },
    },
    {
      title: 'Limits',
      paragraphs: review.limits.length || !review.concepts.length ? [] : ['None planned.'],
      ...(review.limits.length
        ? {
            table: {
              head: ['Limit', 'Why', ...databases.map((s) => s.name)],
              rows: review.limits.map(({ limit, reason }) => [
                `${limit.kind === limitWords(limit) ? '' : `${limit.kind}: `}${limitWords(limit)}`,
                reason,
                ...databases.map((s) => {
                  const profile = profileOf(s)
                  return profile ? limitHonour(limit.kind, profile).how : 'not known'
                }),
              ]),
            },
          }
        : {}),
    },
    {
      title: 'Criteria',
      paragraphs: review.criteria.map((k, i) => `${i + 1}. ${k.text} (${k.pass} pass; yes is ${k.sense})`),
    },
    {
      title: 'Sources',
      paragraphs: [],
      table: {
        head: ['Source', 'Kind', 'Why'],
        rows: review.sources.map((s) => [s.name, s.kind, s.why]),
      },
    },
    {
      title: 'Known items',
      paragraphs: review.knownItems.map((k) =>
        [k.authors.join('; '), k.year ? `(${k.year})` : '', k.title, k.journal ?? '', k.doi ?? '']
          .filter(Boolean)
          .join(' · '),
      ),
    },
  ]
  return {
    title: review.title || 'Search plan',
    parts: parts.filter((p) => p.paragraphs.length || p.table?.rows.length),
  }
}

/** A worksheet as a document, which every writer can write. */
export const worksheetTree = ({ title, parts }: Worksheet): DocumentTree => ({
  title,
  short: true,
  blocks: parts.flatMap(({ title: head, paragraphs, table }): Block[] => [
    { kind: 'heading', level: 1, content: cell(head) },
    ...paragraphs.map((words): Block => ({ kind: 'paragraph', content: cell(words) })),
    ...(table
      ? [
          {
            kind: 'table' as const,
            caption: [],
            head: table.head,
            rows: table.rows.map((r) => r.map(cell)),
            wide: true as const,
          },
        ]
      : []),
  ]),
})
