'use client'
import { Button, Checkbox, Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { held, plural } from '@/core/base'
import { settle, SETTLED_AFTER } from '@/core/doing'
import { nameOfPerson, type PassName, type Settlement } from '@/core/review'
import { reasonWords, SAID_WORDS, toSettleIn } from '@/core/selection'
import { useActions, type Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { isInvented } from '@/standins/source-info'
import { RecordView } from '@/ui/record-view'
import { recordsDesk } from '@/workers'
import { KeyHint } from '../../shared/key-hint'
import { recordProps } from '../../shared/record-props'
import { useMarker } from '../../shared/use-marks'
import { useReason } from '../pass/reason-dialog'
import type { Selected } from '../use-selected'
import { RuleChoice } from './rule-choice'
import { Settled } from './settled'
import css from './settle.module.css'

type After = NonNullable<Settlement['after']>

/** Works that readers ruled differently, and full texts that they set aside for different reasons: settled here. */
export function SettlePane({ selected }: { selected: Selected }) {
  const { doIt, deed, inName } = useStore()
  const { review, ruled, works, placed } = selected
  const all = useMemo(() => toSettleIn(works, placed), [works, placed])
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [shown, setShown] = useState<string>()
  const [after, setAfter] = useState<After>('talk')
  const [how, setHow] = useState<string>()
  const keyOf = (t: (typeof all)[number]): string => `${t.pass}/${t.work.id}`
  const at = Math.max(
    0,
    all.findIndex((t) => keyOf(t) === shown),
  )
  const one = all[at]
  const pass: PassName = one?.pass ?? 'broad'
  const ids = useMemo(() => all.map((t) => t.work.id), [all])
  const { value: records } = useAsked(() => (ids.length ? recordsDesk().shown(ids) : undefined), [ids], {
    keep: true,
  })
  const recordOf = (id: string) => records?.find((r) => r.id === id)?.record
  const marker = useMarker(review)
  const reason = useReason(selected, pass)
  // What was chosen in one pass is not settled in the other.
  const together = all.filter((t) => chosen.has(keyOf(t)) && t.pass === pass).map((t) => t.work.id)
  const meant = together.length ? together : one ? [one.work.id] : []
  const put = (verdict: 'in' | 'out', why: { criterionId?: string; reason?: string } = {}): void =>
    inName(() => {
      deed(doIt(settle, { ids: meant, pass, verdict, after, how: how ?? SETTLED_AFTER[after], ...why }))
      setChosen(new Set())
      setShown(all[at + 1] ? keyOf(all[at + 1]!) : undefined)
    })
  const some = (): boolean => meant.length > 0
  const rules: Action[] = [
    { id: 'settle-in', label: 'Settled: in', key: '1', strip: true, when: some, run: () => put('in') },
    {
      id: 'settle-out',
      label: 'Settled: out',
      key: '2',
      strip: true,
      when: some,
      run: () => reason.ask((why) => put('out', why)),
    },
  ]
  const step = (by: number) => (): void => {
    const next = all[Math.max(0, Math.min(all.length - 1, at + by))]
    if (next) setShown(keyOf(next))
  }
  useActions('pane', 'settle', [
    ...rules,
    { id: 'settle-later', label: 'Next', key: 'ArrowDown', strip: true, when: some, run: step(1) },
    { id: 'settle-before', label: 'The one before', key: 'ArrowUp', when: some, run: step(-1) },
    {
      id: 'settle-choose',
      label: 'Settle it with others',
      key: 'X',
      strip: true,
      when: some,
      run: () => one && toggle(keyOf(one)),
    },
  ])
  const toggle = (key: string): void => {
    const next = new Set(chosen)
    if (!next.delete(key)) next.add(key)
    setChosen(next)
  }
  const own = one ? Object.values(held(ruled.byWork, one.work.id) ?? {}).filter((r) => r.pass === pass) : []
  const record = one && recordOf(one.work.id)
  return (
    <div>
      <RuleChoice review={review} />
      {one ? (
        <div className={css.body}>
          <div className={css.list}>
            <h2>
              {plural(all.length, 'work')} to settle
              {together.length > 1 && <span className="sub"> · {together.length} at once</span>}
            </h2>
            {all.map((t) => (
              <p key={keyOf(t)} className={css.row} data-on={t === one} onClick={() => setShown(keyOf(t))}>
                <Checkbox
                  aria-label={`Settle with others: ${recordOf(t.work.id)?.title ?? t.work.id}`}
                  disabled={t.pass !== pass}
                  checked={chosen.has(keyOf(t))}
                  onChange={() => toggle(keyOf(t))}
                />
                <span>
                  {recordOf(t.work.id)?.title ?? '…'}
                  <span className="sub">
                    {t.pass === 'broad' ? 'title and abstract' : 'full text'}
                    {t.why === 'reasons' && ', different reasons'}
                  </span>
                </span>
              </p>
            ))}
          </div>
          <section aria-label="To settle">
            <div className={css.said}>
              {own.map((r) => (
                <p key={r.reader}>
                  <b>{nameOfPerson(review, r.reader)}</b> {SAID_WORDS[r.verdict]}
                  {r.verdict === 'out' && (r.criterionId || r.reason)
                    ? `: ${reasonWords(review, r.criterionId ?? `words:${r.reason}`)}`
                    : ''}
                  {r.note && <span className="sub"> · {r.note}</span>}
                </p>
              ))}
            </div>
            <p className={css.keys}>
              {rules.map((a, n) => (
                <Button key={a.id} type={n ? 'default' : 'primary'} onClick={a.run}>
                  {a.label}
                  <KeyHint of={a} />
                </Button>
              ))}
              <Select
                size="small"
                aria-label="After what"
                value={after}
                popupMatchSelectWidth={false}
                options={(Object.keys(SETTLED_AFTER) as After[]).map((value) => ({
                  value,
                  label: SETTLED_AFTER[value],
                }))}
                onChange={(value) => {
                  setAfter(value)
                  setHow(undefined)
                }}
              />
              <Input
                size="small"
                className="wide-5"
                aria-label="How it was settled"
                value={how ?? SETTLED_AFTER[after]}
                onChange={(e) => setHow(e.target.value)}
              />
            </p>
            {record ? (
              <RecordView {...recordProps(record, marker(record), isInvented(review, one.work.records))} />
            ) : (
              <p className="empty">…</p>
            )}
          </section>
        </div>
      ) : (
        <p className="empty">
          Nothing is to be settled. What two readers see differently will stand here, with what each said, to
          be settled one by one or several at once.
        </p>
      )}
      <Settled selected={selected} />
      {reason.dialog}
    </div>
  )
}
