import { problem, type Problem } from '../base'
import { readRis } from './formats/ris'
import { readBibtex } from './formats/bibtex-paste'
import { doisIn } from './identifiers'
import { readReference, type ReferenceParts } from './reference'

export type PastedForm = 'DOI' | 'RIS' | 'BibTeX' | 'reference'

/** One work that was pasted, as it was understood. */
export interface Pasted extends ReferenceParts {
  form: PastedForm
  /** What was pasted, unchanged. */
  raw: string
  /** First and last line, counted from 1. */
  lines: readonly [number, number]
  problems: Problem[]
}

interface Piece {
  form: PastedForm
  rows: string[]
  line: number
}

/**
 * Understands what people paste for known items: DOIs, RIS, BibTeX and references as they stand in a text, mixed at
 * will. Every line that holds anything belongs to one item; what is not sure is said beside it. Never throws.
 */
export async function readPasted(text: string): Promise<Pasted[]> {
  const items: Pasted[] = []
  for (const piece of piecesOf(text)) {
    const raw = piece.rows.join('\n')
    const lines = [piece.line, piece.line + piece.rows.length - 1] as const
    for (const read of await READ[piece.form](raw)) items.push({ form: piece.form, raw, lines, ...read })
  }
  return items
}

type Read = ReferenceParts & { raw?: string; problems: Problem[] }

const READ: Record<PastedForm, (raw: string) => Read[] | Promise<Read[]>> = {
  DOI: (raw) => doisIn(raw).map((doi) => ({ raw: doi, title: '', authors: [], doi, problems: [] })),
  RIS: (raw) => {
    const { records, problems } = readRis(raw)
    return records.map(({ title, authors, year, journal, doi }) => ({
      title,
      authors,
      ...(year ? { year } : {}),
      ...(journal ? { journal } : {}),
      ...(doi ? { doi: doi.toLowerCase() } : {}),
      problems: [...problems, ...untitled(title)],
    }))
  },
  BibTeX: readBibtex,
  reference: (raw) => {
    const { sure, ...parts } = readReference(raw)
    const unsure = problem(
      'reference-unsure',
      'warning',
      'What is author and what is title could not be told apart: correct the title below.',
    )
    return [{ ...parts, problems: sure ? [] : [unsure] }]
  },
}

const untitled = (title: string): Problem[] =>
  title ? [] : [problem('no-title', 'warning', 'This record has no title: add one below.')]

const ONLY_DOIS =
  /^(?:\s*(?:[-•*]|\d{1,3}[.)]|\[\d+\])?\s*(?:https?:\/\/\S*?|doi:?\s*)?10\.\d{4,9}\/[^\s,;]+[\s,;]*)+$/i
const MARKER = /^\s*(?:\[\d+\]|\(?\d{1,3}[.)]\s|[•*]\s|-\s)/

function piecesOf(text: string): Piece[] {
  const rows = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const pieces: Piece[] = []
  let last: Piece | undefined
  let depth = 0
  rows.forEach((row, i) => {
    const start = (form: PastedForm): void => {
      pieces.push((last = { form, rows: [row], line: i + 1 }))
    }
    if (/^TY {0,2}-/.test(row)) return start('RIS')
    if (/^\s*@\s*[A-Za-z]+\s*[{(]/.test(row)) {
      start('BibTeX')
      depth = braces(row)
      return
    }
    if (last?.form === 'RIS' && !/^ER {0,2}-/.test(last.rows[last.rows.length - 1]!)) {
      last.rows.push(row)
      return
    }
    if (last?.form === 'BibTeX' && depth > 0) {
      last.rows.push(row)
      depth += braces(row)
      return
    }
    if (!row.trim()) last = undefined
    else if (ONLY_DOIS.test(row)) start('DOI')
    else if (last?.form === 'reference' && !MARKER.test(row) && !isWhole(last.rows.join(' ')))
      last.rows.push(row)
    else start('reference')
  })
  for (const piece of pieces)
    while (piece.rows.length > 1 && !piece.rows[piece.rows.length - 1]!.trim()) piece.rows.pop()
  return pieces
}

/** How many braces a line opens more than it closes. */
const braces = (row: string): number =>
  (row.replace(/\\[{}]/g, '').match(/\{/g)?.length ?? 0) -
  (row.replace(/\\[{}]/g, '').match(/\}/g)?.length ?? 0)

/** Does a reference end here? It has its year and closes with a full stop, a number or an address. */
const isWhole = (text: string): boolean =>
  /\b(1[6-9]\d\d|20\d\d)/.test(text) && /(?:[.)\]]|\d|https?:\S+|10\.\d{4,9}\/\S+)\s*$/.test(text)
