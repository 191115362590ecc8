'use client'
import { CHECKLISTS, notApplicable, type FactContext, type ReportingItem } from '@/core/account'
import { useState } from 'react'
import { useStore } from '@/store/provider'
import { useLeadTo } from '@/store/use-lead-to'
import { ReasonInput } from '../shared/reason-input'

/** The items of each checklist, closed by the record and never by a tick; what is missing leads to where it can be done. */
export function ChecklistPane({ context, show }: { context: FactContext; show: () => void }) {
  return (
    <div className="page">
      <div className="page-head">
        <h1>Reporting items</h1>
        <p className="sub">Closed by the record, never by a tick. The wording is ours, and short.</p>
      </div>
      {CHECKLISTS.map(({ id, name, items: itemsOf }) => {
        const items = itemsOf(context)
        return (
          <section key={id} aria-label={name}>
            <h2>
              {name}{' '}
              <span className="sub">
                {items.filter((i) => i.evidence).length} of {items.length} are closed
              </span>
            </h2>
            <table className="checklist">
              <tbody>
                {items.map((item) => (
                  <ItemRow
                    key={item.number}
                    item={item}
                    leaves={notApplicable(id, item.number)}
                    context={context}
                    show={show}
                  />
                ))}
              </tbody>
            </table>
          </section>
        )
      })}
    </div>
  )
}

function ItemRow({
  item,
  leaves: key,
  context,
  show,
}: {
  item: ReportingItem
  leaves: string
  context: FactContext
  show: () => void
}) {
  const { act, deed } = useStore()
  const lead = useLeadTo(context.review)
  const [leaving, setLeaving] = useState(false)
  const left = context.review.leftAdvice?.[key]
  const state = left ? 'left' : item.evidence ? 'closed' : item.notUsed ? 'unused' : 'open'
  return (
    <tr data-state={state}>
      <th scope="row">{item.number}</th>
      <td>{item.about}</td>
      <td>
        {left ? (
          <>
            not applicable, because {left}{' '}
            <button className="plain link sub" onClick={() => deed(act('advice.resume', { key }))}>
              take that back
            </button>
          </>
        ) : item.evidence ? (
          <>
            {item.evidence}{' '}
            <button className="plain link sub" onClick={show}>
              {item.place}
            </button>
          </>
        ) : leaving ? (
          <ReasonInput
            label={`Why item ${item.number} is not applicable`}
            placeholder="not applicable, because …"
            cancel={() => setLeaving(false)}
            take={(reason) => {
              if (!reason) return
              deed(act('advice.leave', { key, reason }))
              setLeaving(false)
            }}
          />
        ) : (
          <span className="sub">
            {item.notUsed ? 'the record names none' : <b>not reported yet</b>}
            {' · '}
            <button className="plain link" onClick={() => lead({ stage: item.stage })}>
              where it can be done
            </button>
            {' · '}
            <button className="plain link" onClick={() => setLeaving(true)}>
              not applicable, because …
            </button>
          </span>
        )}
      </td>
    </tr>
  )
}
