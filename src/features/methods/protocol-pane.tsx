'use client'
import { amendProtocol, freezePlan, noteRegistration, sayWhyDeparted } from '@/core/doing'
import { Button, Input, InputNumber } from 'antd'
import { useState } from 'react'
import { pluralInWords } from '@/core/base'
import {
  dateWords,
  departures,
  differenceWords,
  protocolDocument,
  protocolInForce,
  type Departure,
  type FactContext,
} from '@/core/account'
import { useStore } from '@/page/provider'
import { TreeView } from '../shared/tree-view'
import { TreeExports } from './tree-exports'
import { StageLink } from '../shared/stage-link'

/** The plan, frozen before the first search; what was amended, and what departs from it. */
export function ProtocolPane({ context }: { context: FactContext }) {
  const { review } = context
  const inForce = protocolInForce(review)
  const tree = protocolDocument(review)
  if (!inForce || !tree) return <Freeze context={context} />
  const found = departures(context)
  return (
    <div className="page" id="protocol">
      <div className="page-head">
        <h1>Protocol</h1>
        <TreeExports tree={tree} name={tree.title} />
      </div>
      <section aria-label="Departures" className="departures">
        <h2>
          {found.length
            ? `The review departs from it in ${pluralInWords(found.length, 'point')}`
            : 'Departures'}
        </h2>
        {found.length ? (
          found.map((d) => <DepartureRow key={`${d.key} ${d.amended ?? ''}`} departure={d} />)
        ) : (
          <p className="sub">None: plan and reading are as they were frozen.</p>
        )}
        {found.some((d) => !d.amended) && <Amend readers={inForce.readers} />}
      </section>
      <Registration context={context} />
      <TreeView tree={tree} />
    </div>
  )
}

function Freeze({ context: { review } }: { context: FactContext }) {
  const { deed, doIt } = useStore()
  const [readers, setReaders] = useState(2)
  const some = review.question.trim() !== '' && review.sources.length > 0
  return (
    <div className="page" id="protocol">
      <div className="page-head">
        <h1>Protocol</h1>
      </div>
      <p className="serif">
        A protocol is your plan, frozen: question, concepts, sources, limits with their reasons, what is asked
        of each work, and known items. Later departures from it list themselves, and the section tells them.
      </p>
      {review.runs.length > 0 && (
        <p className="sub">
          You have searched already. The section will say that the plan was frozen after the first search.
        </p>
      )}
      <p>
        Each work is to be read by{' '}
        <InputNumber
          size="small"
          min={1}
          max={9}
          value={readers}
          aria-label="Readers of each work"
          onChange={(n) => n && setReaders(n)}
          className="wide-1"
        />{' '}
        {readers === 1 ? 'person' : 'people'}.
      </p>
      <Button type="primary" disabled={!some} onClick={() => deed(doIt(freezePlan, { readers }))}>
        Freeze the plan
      </Button>
      {!some && (
        <p className="sub">
          A question and a source are needed first, under <StageLink to="Question" />.
        </p>
      )}
    </div>
  )
}

/** What a person types of a departure is kept when they leave the field. */
function DepartureRow({ departure }: { departure: Departure }) {
  const { deed, doIt } = useStore()
  const { key, at, reason } = departure
  return (
    <div className="departure">
      <p>
        {differenceWords(departure)}
        {at && (
          <span className="sub">
            {' · '}
            {dateWords(at)}
            {departure.amended && `; the protocol was amended for it on ${dateWords(departure.amended)}`}
          </span>
        )}
      </p>
      <input
        key={reason}
        className="line-input serif"
        aria-label={`Why: ${departure.about}`}
        placeholder="because …"
        defaultValue={reason}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        onBlur={(e) => {
          deed(doIt(sayWhyDeparted, { key, before: reason, reason: e.currentTarget.value }))
        }}
      />
    </div>
  )
}

/** An amendment is a named deed: it takes the plan as it is now, and needs a reason. */
function Amend({ readers }: { readers: number }) {
  const { deed, doIt } = useStore()
  const [shown, setShown] = useState(false)
  const [why, setWhy] = useState('')
  if (!shown)
    return (
      <button className="plain link sub" onClick={() => setShown(true)}>
        amend the protocol instead: the plan as it is now becomes the protocol
      </button>
    )
  return (
    <p className="in-row">
      <Input
        size="small"
        autoFocus
        aria-label="Why the protocol is amended"
        placeholder="what made it necessary"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
      />
      <Button
        size="small"
        disabled={!why.trim()}
        onClick={() => {
          deed(doIt(amendProtocol, { readers, why }))
          setShown(false)
        }}
      >
        Amend
      </Button>
    </p>
  )
}

function Registration({ context: { review } }: { context: FactContext }) {
  const { deed, doIt } = useStore()
  const known = review.registration
  // Both fields are read together: a number that is typed before the place is kept with it.
  const keep = (section: HTMLElement): void => {
    const [place = '', number = ''] = [...section.querySelectorAll('input')].map((i) => i.value.trim())
    deed(doIt(noteRegistration, { place, number }))
  }
  return (
    <section aria-label="Registration" className="registration" onBlur={(e) => keep(e.currentTarget)}>
      <h2>Where it is registered or deposited</h2>
      <input
        key={`place ${known?.place}`}
        className="line-input serif"
        aria-label="Place of registration"
        placeholder="a register, a repository, a mail to a supervisor"
        defaultValue={known?.place}
      />
      <input
        key={`number ${known?.number}`}
        className="line-input serif"
        aria-label="Number of registration"
        placeholder="its number, where there is one"
        defaultValue={known?.number}
      />
    </section>
  )
}
