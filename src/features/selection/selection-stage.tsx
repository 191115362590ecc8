'use client'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { ruledBefore, workOf, type Ruling } from '@/core/review'
import { standin } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { useSession, useStore } from '@/store/provider'
import { useWhereabouts } from '@/store/whereabouts'
import { useMarker } from '../shared/use-marks'
import { recordProps } from '../shared/record-props'
import { RecordView } from '@/ui/record-view'
import { KeyHint } from '../shared/key-hint'

const VERDICT: Record<Ruling['verdict'], string> = { in: 'ruled in', out: 'ruled out', unsure: 'left open' }

/** The broad pass: one work at a time, ruled by key. */
export function SelectionStage() {
  const { act, deed, inName } = useStore()
  const told = useSession((s) => s.told)
  const { works } = told.ruled.works
  const rulings = told.ruled.byWork
  const person = useSession((s) => s.person)
  const reader = useSession((s) => s.reader)
  const review = useSession((s) => s.folded.review)
  const marker = useMarker(review)
  const own = `broad/${person}`
  const firstLeft = useMemo(() => works.findIndex((w) => !rulings[w.id]?.[own]), [works, rulings, own])
  const [stepped, setStepped] = useState<number>()
  // What was undone leads back to its work.
  const wanted = useWhereabouts((s) => s.wanted)
  const [led, setLed] = useState<string>()
  if (wanted?.startsWith('work:') && wanted !== led) {
    setLed(wanted)
    const shown = workOf(works, wanted.slice('work:'.length))
    const there = shown ? works.indexOf(shown) : -1
    if (there >= 0) setStepped(there)
  } else if (wanted === undefined && led !== undefined) setLed(undefined)
  const at = stepped ?? (firstLeft < 0 ? 0 : firstLeft)
  const work = works[at]
  const counts = told.figures.broad
  const criteria = review.criteria.filter((c) => c.pass === 'broad' && c.text)

  const actions = useMemo<Action[]>(() => {
    const rule = (verdict: Ruling['verdict'], criterionId?: string) => (): void => {
      if (!work) return
      inName(() => {
        const before = ruledBefore(told.ruled, work, 'broad', person).filter((id) => id !== work.id)
        deed(
          act('ruling.set', {
            recordId: work.id,
            pass: 'broad',
            reader: person,
            verdict,
            ...(before.length ? { replaces: before } : {}),
            ...(criterionId ? { criterionId } : {}),
          }),
        )
        // From here to the next one that this reader has not ruled; the list ends where it ends.
        const next = works.findIndex((w, i) => i > at && !rulings[w.id]?.[own])
        setStepped(next < 0 ? Math.min(at + 1, works.length - 1) : next)
      })
    }
    const some = (): boolean => work !== undefined
    return [
      { id: 'rule-in', label: 'In', key: 'ArrowRight', strip: true, when: some, run: rule('in') },
      { id: 'rule-out', label: 'Out', key: 'ArrowLeft', strip: true, when: some, run: rule('out') },
      { id: 'rule-unsure', label: 'Unsure', key: 'ArrowDown', strip: true, when: some, run: rule('unsure') },
      {
        id: 'rule-back',
        label: 'Back',
        key: 'ArrowUp',
        strip: true,
        when: () => at > 0,
        run: () => setStepped(Math.max(0, at - 1)),
      },
      ...criteria.map((c, i) => ({
        id: `out-${c.id}`,
        label: `Out by question ${i + 1}: ${c.text}`,
        key: String(i + 1),
        when: some,
        run: rule('out', c.id),
      })),
    ]
  }, [act, at, criteria, deed, inName, own, person, rulings, told, work, works])
  useActions('selection', actions)

  if (!work)
    return (
      <>
        <h1>Selection</h1>
        <p className="empty">
          One work at a time will stand here in large type, to be ruled with the arrow keys: right is in, left
          is out. Bring records in under Searches (<kbd>⇧3</kbd>) first.
        </p>
      </>
    )
  const ruling = rulings[work.id]?.[own]
  const from = work.from
    .map((f) => standin(review.sources.find((s) => s.id === f.sourceId)?.profileId)?.short)
    .join(', ')
  return (
    <div className="selection">
      <div>
        <h1>Broad pass</h1>
        <p className="sub">{reader ? `reader: ${reader}` : 'nobody has said yet who reads'}</p>
        <Gauge counts={counts} />
        <p className="sub">
          Ruled by all readers together;{' '}
          {counts.left ? `${plural(counts.left, 'work')} to go.` : 'every work has been ruled.'}
        </p>
      </div>
      <div>
        <p
          className="sub"
          style={{ display: 'flex', justifyContent: 'space-between', maxWidth: 720, marginBottom: 6 }}
        >
          <span data-anchor={`work:${work.id}`}>
            {thousands(at + 1)} of {thousands(works.length)} · found in {from}
          </span>
          {ruling && (
            <span data-verdict={ruling.verdict}>
              {VERDICT[ruling.verdict]}
              {ruling.criterionId &&
                ` by question ${criteria.findIndex((c) => c.id === ruling.criterionId) + 1}`}
            </span>
          )}
        </p>
        <RecordView {...recordProps(work.record, marker(work.record))} />
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
        <div className="criteria">
          {criteria.length ? (
            criteria.map((c) => (
              <div key={c.id} style={{ padding: '2px 0' }}>
                <KeyHint of={`out-${c.id}`} /> {c.text}{' '}
                <span className="sub">
                  {c.sense === 'in' ? 'no: out by this question' : 'yes: out by this question'}
                </span>
              </div>
            ))
          ) : (
            <span className="sub">
              Questions for the broad pass, written under Question, would stand here: each with a key that
              rules out by it.
            </span>
          )}
        </div>
      </div>
    </div>
  )
}

function Gauge({
  counts,
}: {
  counts: { total: number; in: number; out: number; unsure: number; left: number }
}) {
  const parts = [
    { name: 'in', n: counts.in, fill: 'var(--ink)' },
    { name: 'out', n: counts.out, fill: 'var(--ink3)' },
    {
      name: 'unsure',
      n: counts.unsure,
      fill: 'repeating-linear-gradient(45deg, var(--ink3) 0 2px, transparent 2px 5px)',
    },
    { name: 'left', n: counts.left, fill: 'var(--hair)' },
  ]
  return (
    <div className="gauge">
      <div className="bar" aria-hidden="true">
        {parts.map((p) => (
          <span key={p.name} style={{ flex: p.n, background: p.fill }} />
        ))}
      </div>
      <div className="labels">
        {parts.map((p) => (
          <span key={p.name}>
            <b style={{ color: 'var(--ink)' }}>{thousands(p.n)}</b> {p.name}
          </span>
        ))}
      </div>
    </div>
  )
}
