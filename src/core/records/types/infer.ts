import type { Rec } from '../record'

const SCHOOL = /\b(?:universit\w*|hochschule|school|college|facult\w+|facultad|faculté|institut\w*)\b/i
const THESIS = /\b(?:thes[ie]s|dissertation|tesis|thèse|doctoral|doktorarbeit|masterarbeit)\b/i
const PROCEEDINGS = /\b(?:proceedings|conference|congress|symposium|workshop|tagungsband|actas|actes)\b/i
const REPORT = /\breport\b|\bbericht\b|\binforme\b|\brapport\b/i

/**
 * The type of a record that does not say it, by what it has: undefined where that leaves it open. A thesis says so beside
 * its school; what was held at an event is a paper; pages in a book with a publisher are a chapter; a volume or an issue
 * of something, a journal article.
 */
export function inferType(r: Rec): string | undefined {
  const kind = [r.genre ?? '', ...(r.notes ?? [])].join(' ')
  if (THESIS.test(kind) && (r.publisher === undefined || SCHOOL.test(r.publisher))) return 'thesis'
  if (r.event !== undefined || (r.journal !== undefined && PROCEEDINGS.test(r.journal) && !r.issue))
    return 'conference paper'
  const book = r.isbn?.length || r.publisher !== undefined
  if (r.journal !== undefined) {
    if (book && r.pages !== undefined && !r.issue && (r.volume === undefined || r.isbn?.length))
      return 'chapter'
    if (r.volume !== undefined || r.issue !== undefined || r.issn !== undefined) return 'journal article'
    return undefined
  }
  if (r.isbn?.length) return r.editors?.length && !r.authors.length ? 'edited book' : 'book'
  if (REPORT.test(r.genre ?? '') || (r.number !== undefined && r.publisher !== undefined)) return 'report'
  return undefined
}

/** The record with the type that its other parts give it, marked as inferred; the same record where it has one. */
export function withInferred(r: Rec): Rec {
  if (r.type !== undefined) return r
  const type = inferType(r)
  return type === undefined ? r : { ...r, type, inferred: [...(r.inferred ?? []), 'type'] }
}
