'use client'
import { Select } from 'antd'
import { dateWords } from '@/core/account'
import { plural, thousands } from '@/core/base'
import { nameOfPerson, personId, type PassName } from '@/core/review'
import { ownCounts } from '@/core/selection'
import { useSession } from '@/page/provider'
import { namedWorks } from '../../shared/named-works'
import { leaveChoice } from '@/page/leave-field'
import type { Selected } from '../use-selected'
import { Changed } from './changed'
import { Gauge } from './gauge'
import { OrderChoice } from './order-choice'
import type { Order } from './use-order'
import { inHours, usePace } from './use-pace'
import type { PassList } from './use-pass-list'

/** Beside the work that is read: how the pass stands, in which order and of which works, and under which criteria. */
export function PassSide({
  pass,
  selected,
  order,
  list,
  box,
  nameCriteria,
  drawSample,
}: {
  pass: PassName
  selected: Selected
  order: Order
  list: PassList
  box: { words: string } | undefined
  nameCriteria: () => void
  drawSample: () => void
}) {
  const { review, ruled, reading } = selected
  const person = useSession((s) => s.person)
  const reader = useSession((s) => s.reader)
  const all = useSession((s) => s.told.figures[pass])
  const counts = reading ? ownCounts(reading.of[pass], ruled, pass, personId(review, person)) : all
  const pace = usePace(pass, person)
  const { which, asked, again } = list
  const version = review.criteriaVersions?.at(-1)
  return (
    <div className="pass-side">
      <h2>{pass === 'broad' ? 'Broad pass' : 'Close pass'}</h2>
      <p className="sub">{reader ? `reader: ${reader}` : 'nobody has said yet who reads'}</p>
      {counts.total === 0 ? (
        <p className="sub">No work is here yet.</p>
      ) : (
        <>
          <Gauge counts={counts} />
          <p className="sub">
            {reading ? 'Ruled by you; ' : 'Ruled by all readers together; '}
            {counts.left
              ? `${plural(counts.left, 'work')} to go`
              : reading
                ? 'every work has been ruled'
                : 'every work has been ruled by somebody'}
            {pace && counts.left ? `, ${inHours(pace * counts.left)} at your pace.` : '.'}
          </p>
        </>
      )}
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
            ...(asked ? [{ value: 'asked', label: 'asked of you' }] : []),
            { value: 'left', label: 'not ruled by me' },
            { value: 'unsure', label: 'left open by me' },
            ...(again ? [{ value: 'again', label: `asked again: ${thousands(again)} by me` }] : []),
            ...(reading ? [] : review.rounds).map((r, n) => ({
              value: `round:${r.id}`,
              label:
                n === 0
                  ? 'of the first search'
                  : `of ${review.rounds.length === 2 ? 'the update' : `update ${n}`}`,
            })),
            ...(reading ? [] : namedWorks(review)),
          ]}
          onChange={(to: string) => {
            list.narrow(to)
            leaveChoice()
          }}
        />
      </label>
      {which === 'asked' && asked && (
        <p className="sub">
          {nameOfPerson(review, asked.by)} asked on {dateWords(asked.at)} that you read these{' '}
          {thousands(asked.records.length)}
          {asked.called ? ` (${asked.called})` : ''}
          {asked.until ? `, until ${dateWords(asked.until)}` : ''}.
        </p>
      )}
      <Changed pass={pass} selected={selected} nameCriteria={nameCriteria} />
      {reading && version && <p className="sub">Criteria: {version.name}.</p>}
      {!reading && (
        <p className="sub">
          {version ? `Criteria: ${version.name}. ` : ''}
          <button className="plain link" onClick={nameCriteria}>
            Name {version ? 'a new' : 'this'} version of the criteria
          </button>
        </p>
      )}
      {pass === 'broad' && !reading && (
        <p className="sub">
          <button className="plain link" onClick={drawSample}>
            Draw a sample to read together
          </button>
        </p>
      )}
    </div>
  )
}
