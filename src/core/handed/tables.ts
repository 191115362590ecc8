import { held, heldEntries } from '../base'
import { csvText } from '../records'
import { sourceName, type Review, type Ruling, type WorkRead } from '../review'
import { placeOf, reasonWords, rulesOf, type SaidOfWork } from '../selection'
import { saidOfWorks } from '../figures'
import type { HandedFrom } from './from'
import { inPieces } from './pieces'

/** Every work with its records, where each came from, and where it stands in the flow. */
export function* worksTable({ review, works, told }: HandedFrom): Generator<string> {
  const said: ReadonlyMap<string, SaidOfWork> = saidOfWorks(works, review)
  const rules = rulesOf(review)
  const row = (w: WorkRead): string[] => {
    const { place, reason } = placeOf(held(told.ruled.byWork, w.id), said.get(w.id), rules)
    return [
      w.id,
      w.record.title,
      String(w.record.year ?? ''),
      w.record.doi ?? '',
      place,
      reason === undefined ? '' : reasonWords(review, reason),
      w.records.join(' '),
      [...new Set(w.from.map((f) => sourceName(review, f.sourceId)))].join('; '),
    ]
  }
  yield csvText([['Work', 'Title', 'Year', 'DOI', 'Place in the flow', 'Reason', 'Records', 'Found in']])
  yield* inPieces(works.works, (some) => csvText(some.map(row)))
}

/** What was answered to each question, as it reads now; a question that is gone is named by its id. */
const answersOf = ({ criteria }: Review, { answers = {} }: Ruling): string =>
  Object.entries(answers)
    .map(([id, answer]) => `${criteria.find((c) => c.id === id)?.text.trim() ?? id} ${answer}`)
    .join('; ')

/** Every ruling as it stands: on which record, in which pass, by whom (their id), why, when, and under which criteria. */
export function rulingsTable(review: Review): string {
  const rows = heldEntries(review.rulings)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([recordId, own]) =>
      Object.entries(own)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([, r]) => [
          recordId,
          r.pass === 'broad' ? 'title and abstract' : 'full text',
          r.reader,
          r.verdict,
          r.criterionId ? reasonWords(review, r.criterionId) : (r.reason ?? ''),
          r.unread ? 'together, without reading' : '',
          r.note ?? '',
          r.at ?? '',
          r.version ? (review.criteriaVersions?.find((v) => v.id === r.version)?.name ?? '') : '',
          answersOf(review, r),
          r.text ?? '',
        ]),
    )
  return csvText([
    [
      'Record',
      'Pass',
      'Reader',
      'Ruling',
      'Reason',
      'How',
      'Note',
      'When',
      'Criteria',
      'Answers',
      'Full text',
    ],
    ...rows,
  ])
}
