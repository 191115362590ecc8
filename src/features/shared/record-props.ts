import { whereFrom, whoAndWhen, type Rec } from '@/core/records'
import { languageName } from '@/core/query'
import type { MarkedRecord } from './use-marks'

/** What the record view shows of a record; `invented`: it is one of a database that ships with Luvren. */
export function recordProps(record: Rec, marks: MarkedRecord, invented: boolean) {
  return {
    title: record.title,
    source: [
      whoAndWhen(record),
      whereFrom(record),
      record.type,
      record.language && languageName(record.language),
      record.doi && `doi ${record.doi}`,
      invented && 'invented record',
    ]
      .filter(Boolean)
      .join(' · '),
    abstract: record.abstract,
    headings: record.headings.map((h) => ({ ...h, letter: marks.heading(h.label) })),
    keywords: record.keywords.map((text, i) => ({ text, marks: marks.of('keywords', i) })),
    titleMarks: marks.of('title'),
    abstractMarks: marks.of('abstract'),
  }
}
