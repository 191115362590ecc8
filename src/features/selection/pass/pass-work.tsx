'use client'
import { Button, Input } from 'antd'
import { thousands } from '@/core/base'
import type { PassName, Ruling, Work } from '@/core/review'
import { reasonWords } from '@/core/selection'
import type { Action } from '@/page/actions'
import { leaveField } from '@/page/leave-field'
import { isInvented, sourceInfo } from '@/standins/source-info'
import { RecordView } from '@/ui/record-view'
import type { Rec } from '@/core/records'
import { KeyHint } from '../../shared/key-hint'
import { NoticesOf } from '../../shared/notices'
import { recordProps } from '../../shared/record-props'
import { useMarker } from '../../shared/use-marks'
import { FullText } from '../texts/full-text'
import type { Selected } from '../use-selected'
import { Questions } from './questions'
import { Quotes } from './quotes'
import type { PassList } from './use-pass-list'
import type { usePassRuling } from './use-pass-ruling'

const VERDICT: Record<Ruling['verdict'], string> = { in: 'ruled in', out: 'ruled out', unsure: 'left open' }

/** The work that is read, in large type, with the questions asked of it and what can be said. */
export function PassWork({
  pass,
  selected,
  work,
  list: { list, at, ruling },
  ruling: { criteria, answers, note, answer, write, keepNote },
  record,
  failed,
  study,
  rules,
  sayNotice,
}: {
  pass: PassName
  selected: Selected
  work: Work
  list: PassList
  ruling: ReturnType<typeof usePassRuling>
  record: Rec | undefined
  failed: string | undefined
  /** The study it is a report of. */
  study: string | undefined
  rules: readonly Action[]
  /** Its title says that it is a notice on another work: says on which. */
  sayNotice: (() => void) | undefined
}) {
  const { review, said } = selected
  const marker = useMarker(review)
  return (
    <div className="pass-work">
      <p className="sub pass-head">
        <span data-anchor={`work:${work.id}`}>
          {thousands(at + 1)} of {thousands(list.length)} · found in{' '}
          {work.sources
            .flatMap((id) => review.sources.find((s) => s.id === id) ?? [])
            .map((s) => sourceInfo(review, s).short)
            .join(', ')}
        </span>
        {ruling && (
          <span data-verdict={ruling.verdict}>
            {VERDICT[ruling.verdict]}
            {ruling.verdict === 'out' && (ruling.criterionId ?? ruling.reason)
              ? `: ${reasonWords(review, ruling.criterionId ?? `words:${ruling.reason}`)}`
              : ''}
            {ruling.unread && ', with others, unread'}
            {ruling.text === 'none noted' && ', no text noted'}
            {study && ` · study: ${study}`}
          </span>
        )}
      </p>
      {sayNotice && pass === 'broad' && (
        <p className="note">
          Its title says that it is a notice on another work.{' '}
          <button className="plain link" onClick={sayNotice}>
            Say on which
          </button>
        </p>
      )}
      <NoticesOf work={work.id} after="Read it before you rule." />
      {record ? (
        <RecordView {...recordProps(record, marker(record), isInvented(review, work.records))} />
      ) : (
        <p className="empty">{failed ?? 'The record is being fetched …'}</p>
      )}
      {pass === 'close' && <FullText work={work} retrieval={said.get(work.id)?.retrieval} record={record} />}
      {pass === 'close' && <Quotes work={work} review={review} />}
      <div className="criteria">
        <Questions criteria={criteria} answers={answers} answer={answer} />
        <Input
          id="pass-note"
          size="small"
          variant="borderless"
          placeholder="a note on this work"
          aria-label="Note on this work"
          value={note}
          onChange={(e) => write(e.target.value)}
          onPressEnter={(e) => {
            keepNote()
            leaveField(e.currentTarget)
          }}
        />
      </div>
      <div className="rule-buttons">
        {rules.map((a, i) => (
          <Button
            key={a.id}
            type={i === 0 ? 'primary' : 'default'}
            disabled={a.when ? !a.when() : false}
            onClick={a.run}
          >
            {a.label}
            <KeyHint of={a} />
          </Button>
        ))}
      </div>
    </div>
  )
}
