'use client'
import { Button, Input } from 'antd'
import { useMemo, useState } from 'react'
import { held, holdsNothing, plural, thousands } from '@/core/base'
import { nameOfPerson, type PassName, type Work } from '@/core/review'
import { agreementsIn, SAID, type ReaderPair, reasonWords } from '@/core/selection'
import { useActions, type Action } from '@/store/actions'
import { useSession, useStore } from '@/store/provider'
import { RecordView } from '@/ui/record-view'
import { KeyHint } from '../../shared/key-hint'
import { isInvented } from '@/standins/source-info'
import { recordProps } from '../../shared/record-props'
import { handOn } from '../../shared/hand-on/hand-on-dialog'
import { useSideFiles } from '../../shared/side-files/use-side-files'
import { useMarker } from '../../shared/use-marks'
import { useShown } from '../pass/use-shown'
import { useReason } from '../pass/reason-dialog'
import type { Selected } from '../use-selected'

const SAYS = { in: 'in', unsure: 'open', out: 'out' } as const

/** Between readers: how far they agree, what they see differently, and files that go between them. */
export function ReadersPane({ selected }: { selected: Selected }) {
  const store = useStore()
  const { review, ruled, works, placed } = selected
  const readers = useSession((s) => s.told.figures.readers)
  const files = useSideFiles('rulings')
  const conflicts = useMemo(
    () =>
      (['broad', 'close'] as const).flatMap((pass) =>
        works.filter(({ id }) => placed(id)[pass].conflict).map((work) => ({ pass, work })),
      ),
    [works, placed],
  )
  const actions: Action[] = [
    { id: 'reading-give', label: 'Save my rulings as a file', key: 'S', strip: true, run: files.give },
    { id: 'reading-take', label: 'Take a reader’s file in', key: 'A', strip: true, run: files.take },
  ]
  useActions('readers', actions)
  const called = (id: string): string => nameOfPerson(review, id)
  return (
    <div className="readers">
      <p className="readers-files">
        <Button size="small" onClick={files.give}>
          Save my rulings as a file
          <KeyHint of="reading-give" />
        </Button>
        <Button size="small" onClick={files.take}>
          Take a reader’s file in
          <KeyHint of="reading-take" />
        </Button>
        {files.input}
        <span className="sub">
          A second reader opens this review’s package in their own Luvren, rules there, and sends their file
          back: as often as they like, in any order.{' '}
          <button className="plain link" onClick={() => handOn(store)}>
            Hand it on
          </button>{' '}
          without rulings, if they are not to see yours; works that they are to read are a group, to which the
          pass can be narrowed.
        </span>
      </p>
      {(['broad', 'close'] as const).map((pass) => (
        <Agreements key={pass} pass={pass} selected={selected} readers={readers[pass]} called={called} />
      ))}
      {conflicts.length ? (
        <Conflicts selected={selected} conflicts={conflicts} called={called} />
      ) : (
        <p className="empty">
          {!holdsNothing(ruled.byWork) && readers.broad.length > 1
            ? 'Nothing is left that readers see differently.'
            : 'What two readers see differently will stand here, to be settled side by side.'}
        </p>
      )}
    </div>
  )
}

function Agreements({
  pass,
  selected,
  readers,
  called,
}: {
  pass: PassName
  selected: Selected
  readers: readonly string[]
  called: (id: string) => string
}) {
  const pairs = useMemo(
    () => agreementsIn(selected.ruled.byWork, pass, readers),
    [selected.ruled.byWork, pass, readers],
  )
  const some = pairs.filter((p) => p.both > 0)
  if (!some.length) return null
  return (
    <section
      className="agreements"
      aria-label={pass === 'broad' ? 'Agreement, broad pass' : 'Agreement, close pass'}
    >
      <h2>{pass === 'broad' ? 'Titles and abstracts' : 'Full texts'}</h2>
      {some.map((pair) => (
        <div key={`${pair.first} ${pair.second}`} className="agreement">
          <Table pair={pair} called={called} />
          <p>{inWords(pair)}</p>
        </div>
      ))}
    </section>
  )
}

function Table({ pair, called }: { pair: ReaderPair; called: (id: string) => string }) {
  return (
    <table>
      <thead>
        <tr>
          <td />
          <th colSpan={3} scope="colgroup">
            {called(pair.second)}
          </th>
        </tr>
        <tr>
          <th scope="row">{called(pair.first)}</th>
          {SAID.map((s) => (
            <th key={s} scope="col">
              {SAYS[s]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {SAID.map((s, i) => (
          <tr key={s}>
            <th scope="row">{SAYS[s]}</th>
            {SAID.map((t, j) => (
              <td key={t} data-same={i === j}>
                {thousands(pair.table[i]![j]!)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const two = (n: number): string => (n < 0 ? '−' : '') + Math.abs(n).toFixed(2)

function inWords({ both, agreed, kappa, interval }: ReaderPair): string {
  const first = `Both ruled ${plural(both, 'work')} and said the same of ${((agreed ?? 0) * 100).toFixed(1)} %.`
  return kappa === undefined || !interval
    ? `${first} Kappa cannot be reckoned where both always say the same.`
    : `${first} Cohen’s kappa is ${two(kappa)} (95 % interval ${two(interval[0])} to ${two(interval[1])}): agreement beyond what would come of chance.`
}

/** Works that readers see differently, one after the other, with what each said. */
function Conflicts({
  selected,
  conflicts,
  called,
}: {
  selected: Selected
  conflicts: readonly { pass: PassName; work: Work }[]
  called: (id: string) => string
}) {
  const { act, deed, inName } = useStore()
  const person = useSession((s) => s.person)
  const { review, ruled } = selected
  const marker = useMarker(review)
  const [at, setAt] = useState(0)
  const [how, setHow] = useState('by talking it over')
  const place = Math.min(at, conflicts.length - 1)
  const { pass, work } = conflicts[place]!
  const works = useMemo(() => conflicts.map((c) => c.work), [conflicts])
  const { record, failed } = useShown(works, place)
  const own = Object.values(held(ruled.byWork, work.id) ?? {}).filter((r) => r.pass === pass)
  const criteria = review.criteria.filter((c) => c.pass === pass && c.text.trim())
  const settle = (verdict: 'in' | 'out', why: { criterionId?: string; reason?: string } = {}): void =>
    inName(() =>
      deed(act('ruling.settle', { recordId: work.id, pass, verdict, by: person, how: how.trim(), ...why })),
    )
  const reason = useReason(criteria, (why) => settle('out', why))
  const actions: Action[] = [
    { id: 'settle-in', label: 'Settled: in', key: '1', strip: true, run: () => settle('in') },
    { id: 'settle-out', label: 'Settled: out', key: '2', strip: true, run: reason.open },
    {
      id: 'settle-later',
      label: 'Later',
      key: 'ArrowDown',
      strip: true,
      run: () => setAt((place + 1) % conflicts.length),
    },
  ]
  useActions('conflicts', actions)
  return (
    <section className="conflicts" aria-label="Seen differently">
      <h2>
        Seen differently{' '}
        <span className="sub">
          {place + 1} of {conflicts.length} · {pass === 'broad' ? 'title and abstract' : 'full text'}
        </span>
      </h2>
      <div className="conflict-said">
        {own.map((r) => (
          <p key={r.reader}>
            <b>{called(r.reader)}</b> {SAYS[r.verdict]}
            {r.verdict === 'out' && (r.criterionId || r.reason)
              ? `: ${reasonWords(review, r.criterionId ?? `words:${r.reason}`)}`
              : ''}
            {r.note && <span className="sub"> · {r.note}</span>}
          </p>
        ))}
      </div>
      <p className="conflict-keys">
        {actions.map((a, n) => (
          <Button key={a.id} type={n ? 'default' : 'primary'} onClick={a.run}>
            {a.label}
            <KeyHint of={a} />
          </Button>
        ))}
        <Input
          size="small"
          style={{ width: 200 }}
          aria-label="How it was settled"
          value={how}
          onChange={(e) => setHow(e.target.value)}
        />
      </p>
      {record ? (
        <RecordView {...recordProps(record, marker(record), isInvented(review, work.records))} />
      ) : (
        <p className="empty">{failed ?? '…'}</p>
      )}
      {reason.dialog}
    </section>
  )
}
