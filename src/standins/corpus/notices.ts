import type { Rec } from '../../core/records'
import { doiOf } from './catalogue'
import type { Work } from './corpus'
import { Random } from './random'

/** What became of a work after it was published. */
export interface Notice {
  kind: 'retraction' | 'correction'
  of: Work
  /** Year-month in which the notice reached the databases. */
  entered: string
  why: string
}

const WHY: Record<Notice['kind'], readonly string[]> = {
  retraction: [
    'The authors found that the groups had been mixed up when the data were entered.',
    'The measurements could not be repeated with the instrument described.',
    'Part of the data had appeared before under another title.',
  ],
  correction: [
    'In Table 2 the columns for the two conditions were interchanged.',
    'The number of participants in the abstract was wrong; the analyses are not affected.',
    'The unit of reverberation time in Figure 1 should read seconds.',
  ],
}
/** So many works of a thousand; of the newest, which are read more closely, more. */
const SHARE = { retraction: 4, correction: 6 }
const SHARE_NEW = { retraction: 14, correction: 22 }

/** Draws which works were retracted or corrected, up to three years after they appeared. */
export function drawNotices(
  works: readonly Work[],
  seed: string,
  last: { year: number; month: number },
): Notice[] {
  return works.flatMap((of): Notice[] => {
    const { study } = of
    const random = new Random(`${seed}/what became of it/${study.number}`)
    const drawn = random.int(0, 999)
    const share = study.year >= last.year - 3 ? SHARE_NEW : SHARE
    const year = study.year + random.int(0, 3)
    const month = random.int(1, 12)
    const kind =
      drawn < share.retraction
        ? 'retraction'
        : drawn < share.retraction + share.correction
          ? 'correction'
          : undefined
    const entered = `${year}-${String(month).padStart(2, '0')}`
    const newest = `${last.year}-${String(last.month).padStart(2, '0')}`
    if (!kind || study.journal.kind !== 'journal' || entered > newest || entered <= study.entered) return []
    return [{ kind, of, entered, why: random.pick(WHY[kind]) }]
  })
}

/** The record of a notice, from that of the work it is about. */
export function noticeRecord(record: Rec, { kind, of, entered, why }: Notice): Rec {
  const doi = doiOf(of.study)
  const name = kind === 'retraction' ? 'Retraction' : 'Correction'
  const { abstract: _a, pages: _p, timesCited: _t, fulltext: _f, references: _r, ...rest } = record
  return {
    ...rest,
    id: `${record.id}${kind === 'retraction' ? 'R' : 'C'}`,
    title: `${name}: ${record.title}`,
    abstract:
      kind === 'retraction'
        ? `This article has been retracted at the request of its authors. ${why}`
        : `${why} The article has been corrected.`,
    year: Number(entered.slice(0, 4)),
    volume: String(of.study.volume + Number(entered.slice(0, 4)) - of.study.year),
    pages: String(of.study.page + 700),
    type: kind,
    ...(doi ? { doi: `${doi}.${kind === 'retraction' ? 'r' : 'c'}1` } : {}),
    keywords: [],
    headings: [],
    classes: [],
    notice: { kind, title: record.title, ...(doi ? { doi } : {}) },
  }
}
