import { dateWords } from '@/core/account'
import { whereFrom, whoAndWhen } from '@/core/records'
import { Title } from '@/ui/marked'
import { isOverdue, type Row } from './row'
import { STATE_WORDS } from './states'

/** Each work with where its full text stands; the chosen one is set by key. */
export function TextsList({
  rows,
  row,
  today,
  choose,
}: {
  rows: readonly Row[]
  row: Row | undefined
  today: string
  choose: (id: string) => void
}) {
  return (
    <div className="texts-list" role="listbox" aria-label="Full texts" tabIndex={0}>
      {rows.map((r) => (
        <div
          key={r.id}
          role="option"
          aria-selected={r === row}
          className={`texts-row${r === row ? ' on' : ''}`}
          data-anchor={`work:${r.id}`}
          onClick={() => choose(r.id)}
        >
          <span className="title">
            <Title text={r.record.title} />
          </span>
          <span className="sub">
            {whoAndWhen(r.record)} · {whereFrom(r.record)}
          </span>
          <span className="texts-state" data-late={isOverdue(r, today)}>
            {r.state ? STATE_WORDS[r.state] : 'not looked for yet'}
            {r.due && `, due ${dateWords(r.due)}`}
            {r.retrieval?.why && `: ${r.retrieval.why}`}
            {r.retrieval?.file && `, ${r.retrieval.file.name}`}
          </span>
        </div>
      ))}
    </div>
  )
}
