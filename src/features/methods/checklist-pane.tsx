'use client'
import {
  CHECKLISTS,
  isOpen,
  notApplicable,
  withDrafted,
  type FactContext,
  type Passage,
  type ReportingItem,
} from '@/core/account'
import { editPassage, leaveAdvice, takeAdviceUp } from '@/core/doing'
import type { PassageContent } from '@/core/review'
import { useState } from 'react'
import { useStore } from '@/page/provider'
import { useLeadTo } from '@/page/use-lead-to'
import { InlineTexts } from '../shared/account-text'
import { ReasonInput } from '../shared/reason-input'

/**
 * The items of each checklist, closed by the text and never by a tick. What the record has and the text does not say is
 * offered as a sentence; what is missing leads to where it can be done.
 */
export function ChecklistPane({
  context,
  passages,
  show,
}: {
  context: FactContext
  passages: readonly Passage[]
  show: () => void
}) {
  return (
    <div className="page">
      <div className="page-head">
        <h1>Reporting items</h1>
        <p className="sub">
          Closed by what the section says, never by a tick. The wording is ours, and short.
        </p>
      </div>
      {CHECKLISTS.map(({ id, name, items: itemsOf }) => {
        const items = itemsOf(context)
        return (
          <section key={id} aria-label={name}>
            <h2>
              {name}{' '}
              <span className="sub">
                {items.filter((i) => i.closed).length} of {items.length} are closed
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
                    passages={passages}
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
  passages,
  show,
}: {
  item: ReportingItem
  leaves: string
  context: FactContext
  passages: readonly Passage[]
  show: () => void
}) {
  const { deed, doIt } = useStore()
  const lead = useLeadTo(context.review)
  const [leaving, setLeaving] = useState(false)
  const left = context.review.leftAdvice?.[key]
  const state = left ? 'left' : item.closed ? 'closed' : isOpen(item) ? 'open' : 'unused'
  const passage = passages.find((p) => p.id === item.passage)
  const take = (): void => {
    if (!passage || !item.offered) return
    const content = withDrafted(context, passage, item.offered) as unknown as PassageContent
    deed(doIt(editPassage, { passage: passage.id, content }))
  }
  return (
    <tr data-state={state}>
      <th scope="row">{item.number}</th>
      <td>{item.about}</td>
      <td>
        {left ? (
          <>
            not applicable, because {left}{' '}
            <button className="plain link sub" onClick={() => deed(doIt(takeAdviceUp, key))}>
              take that back
            </button>
          </>
        ) : item.closed ? (
          <>
            {item.evidence ?? 'told as not done'}{' '}
            <button
              className="plain link sub"
              onClick={() =>
                item.passage ? lead({ stage: 'methods', anchor: `passage:${item.passage}` }) : show()
              }
            >
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
              deed(doIt(leaveAdvice, { key, reason }))
              setLeaving(false)
            }}
          />
        ) : (
          <span className="sub">
            {item.evidence ? (
              <>
                {item.evidence}: <b>in the record, not in the text</b>
              </>
            ) : item.offered ? (
              <b>not said in the text</b>
            ) : item.notUsed ? (
              'the record names none'
            ) : (
              <b>not reported yet</b>
            )}
            {item.offered?.map((own, n) => (
              <span key={n} className="offered serif">
                <InlineTexts content={own} context={context} />
              </span>
            ))}
            {item.offered && (
              <>
                <button className="plain link" onClick={take}>
                  take it into the text
                </button>
                {' · '}
              </>
            )}
            {!item.offered && ' · '}
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
