'use client'
import { noticedTitle } from '@/core/doing'
import { leadsOut, type PassName } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import type { Selected } from '../use-selected'
import { useMany } from './many-dialog'
import { useNotice } from './notice-dialog'
import { PassSide } from './pass-side'
import { PassWork } from './pass-work'
import { useOrder } from './use-order'
import { usePassList } from './use-pass-list'
import { usePassRuling } from './use-pass-ruling'
import { useSample } from './sample-dialog'
import { useShown } from './use-shown'
import { useStudy } from './study-dialog'
import { useCriteriaVersion } from './version-dialog'

/** One work at a time, ruled by key: on title and abstract, or on its full text. */
export function PassPane({
  pass,
  selected,
  box,
}: {
  pass: PassName
  selected: Selected
  /** Works that something else led to, and which they are. */
  box?: { ids: readonly string[]; words: string } | undefined
}) {
  const order = useOrder(pass, selected)
  const list = usePassList(pass, selected, order, box?.ids)
  const { work, at } = list
  const ruling = usePassRuling(pass, selected, list)
  const { criteria, answers, say, answer, turn } = ruling
  const { record, failed } = useShown(list.list, at)
  const many = useMany(pass, selected)
  const naming = useCriteriaVersion(selected, pass)
  const sample = useSample(selected, list.narrow)
  const study = useStudy(work, selected)
  const notice = useNotice(selected, work, record)
  const unanswered = criteria.find((c) => answers[c.id] === undefined)
  const some = (): boolean => work !== undefined
  const rules: Action[] = [
    { id: 'rule-in', label: 'In', key: 'ArrowRight', strip: true, when: some, run: () => say('in') },
    { id: 'rule-out', label: 'Out', key: 'ArrowLeft', strip: true, when: some, run: () => say('out') },
    {
      id: 'rule-unsure',
      label: 'Unsure',
      key: 'ArrowDown',
      strip: true,
      when: some,
      run: () => say('unsure'),
    },
    { id: 'rule-back', label: 'Back', key: 'ArrowUp', strip: true, when: () => at > 0, run: list.back },
  ]
  const whole = !selected.reading
  useActions('pane', 'selection-pass', [
    ...rules,
    ...criteria.slice(0, 9).map((c, i) => ({
      id: `answer-${c.id}`,
      label: `Answer question ${i + 1}: ${c.text}`,
      key: String(i + 1),
      when: some,
      run: () => turn(c),
    })),
    {
      id: 'answer-keep',
      label: 'Answer the next question so that the work stays',
      key: 'Y',
      when: () => some() && unanswered !== undefined,
      run: () => unanswered && answer(unanswered, leadsOut(unanswered) === 'no' ? 'yes' : 'no'),
    },
    {
      id: 'answer-unsure',
      label: 'Cannot tell, for the next question',
      key: 'U',
      when: () => some() && unanswered !== undefined,
      run: () => unanswered && answer(unanswered, 'cannot tell'),
    },
    {
      id: 'rule-note',
      label: 'Note on this work',
      key: 'N',
      strip: true,
      when: some,
      run: () => document.getElementById('pass-note')?.focus(),
    },
    ...(pass === 'close' && whole
      ? [
          {
            id: 'rule-study',
            label: 'Report of one study with others',
            key: 'S',
            when: some,
            run: study.open,
          },
        ]
      : []),
    ...(whole && pass === 'broad'
      ? [
          {
            id: 'rule-notice',
            label: 'It is a notice on another work: a retraction, a correction',
            when: some,
            run: notice.open,
          },
        ]
      : []),
    ...(whole ? [{ id: 'rule-many', label: 'Several works out at once', key: 'G', run: many.open }] : []),
    ...(pass === 'broad' && whole
      ? [{ id: 'rule-sample', label: 'Draw a sample to read together', run: sample.open }]
      : []),
    ...(whole
      ? [{ id: 'criteria-version', label: 'Name this version of the criteria', run: naming.open }]
      : []),
  ])
  return (
    <div className="selection">
      <PassSide
        pass={pass}
        selected={selected}
        order={order}
        list={list}
        box={box}
        nameCriteria={naming.open}
        drawSample={sample.open}
      />
      {work ? (
        <PassWork
          pass={pass}
          selected={selected}
          work={work}
          list={list}
          ruling={ruling}
          record={record}
          failed={failed}
          study={study.name}
          rules={rules}
          sayNotice={whole && record && noticedTitle(record.title) !== undefined ? notice.open : undefined}
        />
      ) : (
        <p className="empty">{nothingHere(pass, list.atEnd, list.which)}</p>
      )}
      {many.dialog}
      {naming.dialog}
      {sample.dialog}
      {ruling.dialogs}
      {study.dialog}
      {notice.dialog}
    </div>
  )
}

function nothingHere(pass: PassName, atEnd: boolean, which: string): string {
  if (atEnd) return 'You have ruled every work of this pass. ↑ goes back to the last one.'
  if (pass === 'broad') return 'No work is among these.'
  return which === 'all'
    ? 'No work waits for its full text to be read: what was ruled in on title and abstract will stand here.'
    : 'No work of the close pass is among these.'
}
