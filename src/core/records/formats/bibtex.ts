import { problem, type Problem } from '../../base'
import { doiIn } from '../identifiers'
import type { ReferenceParts } from '../reference'

interface CslItem {
  title?: string
  author?: { family?: string; given?: string; literal?: string; 'non-dropping-particle'?: string }[]
  issued?: { 'date-parts'?: (number | string)[][] }
  'container-title'?: string
  DOI?: string
}

const plain = (text: string | undefined): string =>
  (text ?? '')
    .replace(/<[^>]+>/g, '')
    .replace(/\s+/g, ' ')
    .trim()

/**
 * Reads BibTeX entries for what they say of a work. An entry that the reader of BibTeX refuses is read by its fields as
 * they stand, with a warning; nothing is dropped. Entries that describe no work (strings, comments) give nothing.
 */
export async function readBibtex(raw: string): Promise<(ReferenceParts & { problems: Problem[] })[]> {
  if (/^\s*@\s*(?:string|comment|preamble)\b/i.test(raw)) return []
  try {
    const [{ plugins }] = await Promise.all([
      import('@citation-js/core'),
      import('@citation-js/plugin-bibtex'),
    ])
    const items = plugins.input.chain(raw, { generateGraph: false }) as CslItem[]
    if (items.length) return items.map(partsOf)
  } catch {
    // Refused: the fields are read as they stand, below.
  }
  const field = (name: string): string =>
    plain(
      new RegExp(`\\b${name}\\s*=\\s*(?:\\{((?:[^{}]|\\{[^{}]*\\})*)\\}|"([^"]*)"|(\\d+))`, 'i')
        .exec(raw)
        ?.slice(1)
        .find((v) => v !== undefined)
        ?.replace(/[{}]/g, ''),
    )
  const year = Number(/\d{4}/.exec(field('year') || field('date'))?.[0])
  const doi = doiIn(field('doi'))
  const journal = field('journal') || field('journaltitle') || field('booktitle')
  return [
    {
      title: field('title'),
      authors: field('author')
        .split(/\s+and\s+/)
        .filter(Boolean),
      ...(year ? { year } : {}),
      ...(journal ? { journal } : {}),
      ...(doi ? { doi } : {}),
      problems: [
        problem(
          'bibtex-damaged',
          'warning',
          'This entry is not whole BibTeX (a bracket or comma is missing, perhaps); its fields were read as they stand.',
        ),
      ],
    },
  ]
}

function partsOf(item: CslItem): ReferenceParts & { problems: Problem[] } {
  const year = Number(item.issued?.['date-parts']?.[0]?.[0])
  const title = plain(item.title)
  const doi = doiIn(item.DOI ?? '')
  const journal = plain(item['container-title'])
  return {
    title,
    authors: (item.author ?? []).map((a) =>
      plain(
        a.literal ??
          [[a['non-dropping-particle'], a.family].filter(Boolean).join(' '), a.given]
            .filter(Boolean)
            .join(', '),
      ),
    ),
    ...(year ? { year } : {}),
    ...(journal ? { journal } : {}),
    ...(doi ? { doi } : {}),
    problems: title ? [] : [problem('no-title', 'warning', 'This entry has no title: add one below.')],
  }
}
