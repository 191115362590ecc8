'use client'
import { Input, InputNumber } from 'antd'
import dayjs from 'dayjs'
import { thousands } from '@/core/base'
import { limitWords } from '@/core/query'
import { noteOf, type HistoryRow, type PastSearch } from '@/core/strategy'

/** One search of a history: as it stood there, as it is read, its count; each can be put right. */
export function HistoryRowShown({
  search,
  number,
  change,
  remove,
  folded,
}: {
  search: PastSearch
  number: number
  change: (to: Partial<HistoryRow>) => void
  remove: () => void
  /** Lines were folded: the numbers shown are no longer those of the list. */
  folded: boolean
}) {
  const { row, problems } = search
  const shown = problems.filter((p) => p.severity !== 'note')
  return (
    <div className="history-row" role="row">
      <span role="cell" className="sub number">
        {row.number ?? number}
      </span>
      <span role="cell">
        <span className="mono sent">{row.text}</span>
      </span>
      <span role="cell">
        <Input.TextArea
          className="mono"
          variant="borderless"
          autoSize
          aria-label={`Search ${number} in plain notation`}
          placeholder={
            search.limits.length && !shown.length
              ? `only a limit: ${search.limits.map(limitWords).join(', ')}`
              : 'kept as it stands, not read: say in plain notation what it asks'
          }
          readOnly={folded}
          value={row.reading ?? search.text}
          onChange={(e) => change({ reading: e.target.value || undefined })}
        />
        {search.described === undefined && search.limits.length > 0 && (
          <span className="sub"> + {search.limits.map(limitWords).join(' + ')}</span>
        )}
        {shown.map((p, i) => (
          <span key={i} className={`history-problem ${p.severity}`}>
            {p.message}
          </span>
        ))}
        {row.others.map((o, i) => (
          <span key={i} className="sub history-problem">
            {o.head ? `${o.head}: ` : 'another column: '}
            <span className="mono">{o.text}</span>
          </span>
        ))}
        {row.rest && (
          <span className="history-problem warning">
            Beside it, in none of the columns: <span className="mono">{row.rest}</span>.{' '}
            <button
              className="plain link"
              onClick={() => change({ text: `${row.text} ${row.rest}`.trim(), rest: '' })}
            >
              It belongs to the search
            </button>
          </span>
        )}
        {search.folded.length > 0 && <span className="sub history-problem">{noteOf(search)}</span>}
      </span>
      <span role="cell" className="number">
        <InputNumber<number | string>
          size="small"
          variant="borderless"
          controls={false}
          min={0}
          precision={0}
          aria-label={`Hits of search ${number}`}
          placeholder="none"
          formatter={(n) => (n === undefined || n === '' ? '' : thousands(Number(n)))}
          parser={(text) => (text ?? '').replace(/\D/g, '')}
          value={search.hits ?? null}
          disabled={search.folded.length > 0}
          // An emptied count is unknown; it is not nothing found.
          onChange={(hits) => change({ hits: hits === null || hits === '' ? undefined : Number(hits) })}
        />
        {row.unsure.length > 0 && row.hits === undefined && (
          <span className="history-unsure" role="group" aria-label={`Which count search ${number} has`}>
            {row.unsure.map((n) => (
              <button key={n} className="plain link" onClick={() => change({ hits: n, unsure: [] })}>
                {thousands(n)}?
              </button>
            ))}
          </span>
        )}
        {row.when && <span className="sub history-day">{dayjs(row.when).format('D MMM YYYY')}</span>}
      </span>
      <span role="cell">
        <button className="plain remove" aria-label={`Leave search ${number} out`} onClick={remove}>
          ×
        </button>
      </span>
    </div>
  )
}
