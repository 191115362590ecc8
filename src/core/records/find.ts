import { foldLabel } from '../base'
import { doiIn } from './identifiers'
import type { Rec } from './record'

/** What a record is found by. */
export type Findable = Pick<Rec, 'title'> & { doi?: string | undefined; year?: number | undefined }

/** Records of one source by what identifies them; made once for a source. */
export interface RecordFinder<T extends Findable = Rec> {
  byDoi: ReadonlyMap<string, number>
  /** By the first words of the title. */
  byTitle: ReadonlyMap<string, readonly number[]>
  records: readonly T[]
}

const FIRST_WORDS = 4
const keyOf = (folded: string): string => folded.split(' ', FIRST_WORDS).join(' ')

export function recordFinder<T extends Findable>(records: readonly T[]): RecordFinder<T> {
  const byDoi = new Map<string, number>()
  records.forEach((record, n) => {
    const doi = record.doi && doiIn(record.doi)
    if (doi && !byDoi.has(doi)) byDoi.set(doi, n)
  })
  let byTitle: ReadonlyMap<string, readonly number[]> | undefined
  return {
    byDoi,
    get byTitle() {
      return (byTitle ??= titlesOf(records))
    },
    records,
  }
}

/** The places of records by the beginning of their title. */
function titlesOf(records: readonly Findable[]): Map<string, number[]> {
  const byTitle = new Map<string, number[]>()
  records.forEach((record, n) => {
    const key = keyOf(foldLabel(record.title))
    const known = byTitle.get(key)
    if (known) known.push(n)
    else byTitle.set(key, [n])
  })
  return byTitle
}

/**
 * The number of the record that describes a work: by its DOI, else by its title (a subtitle may be missing on either
 * side) within a year. A title of fewer than four words must be the same throughout. Undefined where there is none.
 */
export function findRecord(
  finder: RecordFinder<Findable>,
  item: { title: string; year?: number; doi?: string },
): { record: number; by: 'DOI' | 'title' } | undefined {
  const byDoi = item.doi === undefined ? undefined : finder.byDoi.get(item.doi.toLowerCase())
  if (byDoi !== undefined) return { record: byDoi, by: 'DOI' }
  const folded = foldLabel(item.title)
  if (!folded) return undefined
  const long = folded.split(' ').length >= FIRST_WORDS
  for (const n of finder.byTitle.get(keyOf(folded)) ?? []) {
    const { title, year } = finder.records[n]!
    const other = foldLabel(title)
    const alike =
      other === folded || (long && (other.startsWith(`${folded} `) || folded.startsWith(`${other} `)))
    const near = item.year === undefined || year === undefined || Math.abs(item.year - year) <= 1
    if (alike && near) return { record: n, by: 'title' }
  }
  return undefined
}
