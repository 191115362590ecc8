'use client'
import { Button, Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { dateWords } from '@/core/account'
import { held, plural, thousands } from '@/core/base'
import { nameOfPerson, workOf, type Answer, type Criterion, type PassName, type Ruling } from '@/core/review'
import { nextToRule, reasonWords } from '@/core/selection'
import { useActions, type Action } from '@/store/actions'
import { useSession } from '@/store/provider'
import { isInvented, sourceInfo } from '@/standins/source-info'
import { useWhereabouts } from '@/store/whereabouts'
import { RecordView } from '@/ui/record-view'
import { KeyHint } from '../../shared/key-hint'
import { recordProps } from '../../shared/record-props'
import { namedWorks, useNamedWorks } from '../../shared/named-works'
import { useMarker } from '../../shared/use-marks'
import { FullText } from '../texts/full-text'
import type { Selected } from '../use-selected'
import { Gauge } from './gauge'
import { useMany } from './many-dialog'
import { OrderChoice } from './order-choice'
import { Questions, rulesOut } from './questions'
import { Quotes } from './quotes'
import { useReason } from './reason-dialog'
import { useOrder } from './use-order'
import { inHours, usePace } from './use-pace'
import { useRuling } from './use-ruling'
import { useSample } from './sample-dialog'
import { useShown } from './use-shown'
import { useStudy } from './study-dialog'
import { useCriteriaVersion } from './version-dialog'

const VERDICT: Record<Ruling['verdict'], string> = { in: 'ruled in', out: 'ruled out', unsure: 'left open' }
const NO_ANSWERS: Readonly<Record<string, Answer>> = {}

/** Stands where a work would, once every work of the pass is ruled. */
const END = 'end of the pass'

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
  const { review, ruled, placed, said } = selected
  const person = useSession((s) => s.person)
  const reader = useSession((s) => s.reader)
  const counts = useSession((s) => s.told.figures[pass])
  const marker = useMarker(review)
  const order = useOrder(pass, selected)
  // What another person asked for is what is read first here; it can be put aside like any other choice of works.
  const asked = review.asked?.findLast((a) => a.pass === pass && a.by !== person)
  const [which, setWhich] = useState<string>(box ? 'box' : asked ? 'asked' : 'all')
  const named = useNamedWorks(review, which.includes(':') ? which : undefined)
  const askedIds = (): ReadonlySet<string> =>
    new Set((asked?.records ?? []).flatMap((id) => workOf(ruled.works.works, id)?.id ?? []))
  const rule = useRuling(pass, selected)
  const own = `${pass}/${person}`
  const version = review.criteriaVersions?.at(-1)
  const [snapshot, setSnapshot] = useState<ReadonlySet<string> | undefined>(() =>
    box ? new Set(box.ids) : asked && askedIds(),
  )
  // The list of the broad pass is the same whatever is ruled: what is shown of its works need not be fetched again.
  const closePlaced = pass === 'close' ? placed : undefined
  /** Every work that this pass is about. */
  const pool = useMemo(
    () =>
      closePlaced
        ? order.works.filter(({ id }) =>
            ['sought', 'close open', 'out', 'included'].includes(closePlaced(id).place),
          )
        : order.works,
    [order.works, closePlaced],
  )
  const list = useMemo(() => {
    const wanted = which.includes(':') ? named && new Set(named) : snapshot
    return wanted ? pool.filter(({ id }) => wanted.has(id)) : pool
  }, [pool, which, named, snapshot])
  const narrow = (to: string): void => {
    setWhich(to)
    setStepped(undefined)
    const fits = ({ id }: { id: string }): boolean => {
      const ruling = held(ruled.byWork, id)?.[own]
      if (to === 'left') return !ruling
      if (to === 'unsure') return ruling?.verdict === 'unsure'
      return ruling !== undefined && ruling.version !== version?.id
    }
    if (to === 'box') return setSnapshot(new Set(box?.ids))
    if (to === 'asked') return setSnapshot(askedIds())
    setSnapshot(
      ['left', 'unsure', 'older'].includes(to)
        ? new Set(order.works.filter(fits).map((w) => w.id))
        : undefined,
    )
  }
  const firstLeft = useMemo(
    () => list.findIndex((w) => !held(ruled.byWork, w.id)?.[own]),
    [list, ruled.byWork, own],
  )
  const [stepped, setStepped] = useState<string>()
  // What was undone leads back to its work.
  const wanted = useWhereabouts((s) => s.wanted)
  const [led, setLed] = useState<string>()
  if (wanted?.startsWith('work:') && wanted !== led) {
    setLed(wanted)
    const shown = workOf(ruled.works.works, wanted.slice('work:'.length))
    if (shown) setStepped(shown.id)
  } else if (wanted === undefined && led !== undefined) setLed(undefined)
  const steppedAt = stepped === undefined ? -1 : list.findIndex((w) => w.id === stepped)
  const atEnd = stepped === END
  const at = atEnd ? list.length : steppedAt >= 0 ? steppedAt : Math.max(0, firstLeft)
  const work = list[at]
  const { record, failed } = useShown(list, at)
  const ruling = work && held(ruled.byWork, work.id)?.[own]
  const criteria = useMemo(
    () => review.criteria.filter((c) => c.pass === pass && c.text.trim()),
    [review, pass],
  )
  // Answers that are given and not ruled on yet belong to the work they were given of.
  const [given, setGiven] = useState<{
    work: string
    answers: Readonly<Record<string, Answer>>
    note?: string
  }>()
  const current = work && given?.work === work.id ? given : undefined
  const answers = current?.answers ?? ruling?.answers ?? NO_ANSWERS
  const note = current?.note ?? ruling?.note ?? ''
  const many = useMany(pass, selected)
  const naming = useCriteriaVersion(review)
  const pace = usePace(pass, person)
  const sample = useSample(selected, narrow)
  const study = useStudy(work, selected)
  const next = (): void => {
    if (!work) return
    const ids = (of: readonly { id: string }[]): string[] => of.map((w) => w.id)
    const found = nextToRule(ids(list), ids(pool), work.id, (id) => Boolean(held(ruled.byWork, id)?.[own]))
    if (found?.of === 'pool') {
      setWhich('all')
      setSnapshot(undefined)
    }
    setStepped(found?.id ?? END)
  }
  const say = (
    verdict: Ruling['verdict'],
    more: { criterionId?: string; reason?: string; answers?: typeof answers } = {},
  ): void => {
    if (work) rule(work, { verdict, answers, note, ...more }, next)
  }
  const reason = useReason(criteria, (chosen) => say('out', chosen))
  const answer = (c: Criterion, a: Answer): void => {
    if (!work) return
    const all = { ...answers, [c.id]: a }
    if (a === rulesOut(c)) {
      say('out', { criterionId: c.id, answers: all })
      return
    }
    const keeps = criteria.every((q) => all[q.id] !== undefined && all[q.id] !== 'cannot tell')
    if (keeps && criteria.every((q) => all[q.id] !== rulesOut(q))) say('in', { answers: all })
    else
      setGiven({
        work: work.id,
        answers: all,
        ...(current?.note === undefined ? {} : { note: current.note }),
      })
  }
  const unanswered = criteria.find((c) => answers[c.id] === undefined)
  const some = (): boolean => work !== undefined
  // A reading by another name asks for a reason: the close pass has exactly one for each work that is out.
  const out = (): void => (pass === 'close' ? reason.open() : say('out'))
  const actions: Action[] = [
    { id: 'rule-in', label: 'In', key: 'ArrowRight', strip: true, when: some, run: () => say('in') },
    { id: 'rule-out', label: 'Out', key: 'ArrowLeft', strip: true, when: some, run: out },
    {
      id: 'rule-unsure',
      label: 'Unsure',
      key: 'ArrowDown',
      strip: true,
      when: some,
      run: () => say('unsure'),
    },
    {
      id: 'rule-back',
      label: 'Back',
      key: 'ArrowUp',
      strip: true,
      when: () => at > 0,
      run: () => setStepped(list[Math.max(0, at - 1)]?.id),
    },
    ...criteria.map((c, i) => ({
      id: `out-${c.id}`,
      label: `Out by question ${i + 1}: ${c.text}`,
      key: String(i + 1),
      when: some,
      run: () => answer(c, rulesOut(c)),
    })),
    {
      id: 'answer-keep',
      label: 'Answer the next question so that the work stays',
      key: 'Y',
      when: () => some() && unanswered !== undefined,
      run: () => unanswered && answer(unanswered, rulesOut(unanswered) === 'no' ? 'yes' : 'no'),
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
    ...(pass === 'close'
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
    { id: 'rule-many', label: 'Several works out at once', key: 'G', run: many.open },
    ...(pass === 'broad'
      ? [{ id: 'rule-sample', label: 'Draw a sample to read together', run: sample.open }]
      : []),
    { id: 'criteria-version', label: 'Name this version of the criteria', run: naming.open },
  ]
  useActions('selection-pass', actions)
  const older =
    version &&
    order.works.some((w) => {
      const r = held(ruled.byWork, w.id)?.[own]
      return r !== undefined && r.version !== version.id
    })
  return (
    <div className="selection">
      <div className="pass-side">
        <h2>{pass === 'broad' ? 'Broad pass' : 'Close pass'}</h2>
        <p className="sub">{reader ? `reader: ${reader}` : 'nobody has said yet who reads'}</p>
        <Gauge counts={counts} />
        <p className="sub">
          Ruled by all readers together;{' '}
          {counts.left ? `${plural(counts.left, 'work')} to go` : 'every work has been ruled'}
          {pace && counts.left ? `, ${inHours(pace * counts.left)} at your pace.` : '.'}
        </p>
        <OrderChoice order={order} />
        <label className="pass-choice">
          <span className="sub">Works</span>
          <Select
            size="small"
            variant="borderless"
            aria-label="Which works"
            value={which}
            popupMatchSelectWidth={false}
            options={[
              { value: 'all', label: 'all' },
              ...(box ? [{ value: 'box', label: box.words }] : []),
              ...(asked ? [{ value: 'asked', label: `asked of you: ${asked.called}` }] : []),
              { value: 'left', label: 'not ruled by me' },
              { value: 'unsure', label: 'left open by me' },
              ...(older ? [{ value: 'older', label: 'ruled under older criteria' }] : []),
              ...namedWorks(review),
            ]}
            onChange={narrow}
          />
        </label>
        {which === 'asked' && asked && (
          <p className="sub">
            {nameOfPerson(review, asked.by)} asked on {dateWords(asked.at)} that you read these{' '}
            {thousands(asked.records.length)}.
          </p>
        )}
        <p className="sub">
          {version ? `Criteria: ${version.name}. ` : ''}
          <button className="plain link" onClick={naming.open}>
            Name {version ? 'a new' : 'this'} version of the criteria
          </button>
        </p>
        {pass === 'broad' && (
          <p className="sub">
            <button className="plain link" onClick={sample.open}>
              Draw a sample to read together
            </button>
          </p>
        )}
      </div>
      {work ? (
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
                {study.name && ` · study: ${study.name}`}
              </span>
            )}
          </p>
          {record ? (
            <RecordView {...recordProps(record, marker(record), isInvented(review, work.records))} />
          ) : (
            <p className="empty">{failed ?? 'The record is being fetched …'}</p>
          )}
          {pass === 'close' && (
            <FullText work={work} retrieval={said.get(work.id)?.retrieval} record={record} />
          )}
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
              onChange={(e) => setGiven({ work: work.id, answers, note: e.target.value })}
              onPressEnter={() => {
                if (ruling) rule(work, { ...ruling, answers, note } as Parameters<typeof rule>[1])
                ;(document.activeElement as HTMLElement | null)?.blur()
              }}
            />
          </div>
          <div className="rule-buttons">
            {actions.slice(0, 4).map((a, i) => (
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
      ) : (
        <p className="empty">
          {atEnd && list.length > 0
            ? `You have ruled every work of this pass. ↑ goes back to the last one.`
            : pass === 'close'
              ? which === 'all'
                ? 'No work waits for its full text to be read: what was ruled in on title and abstract will stand here.'
                : 'No work of the close pass is among these.'
              : 'No work is among these.'}
        </p>
      )}
      {many.dialog}
      {naming.dialog}
      {sample.dialog}
      {reason.dialog}
      {study.dialog}
    </div>
  )
}
