'use client'
import { leaveAdvice, sayRead, takeAdviceUp } from '@/core/doing'
import { useState } from 'react'
import {
  adviceOn,
  dateWords,
  factsChanged,
  factsIn,
  type Advice,
  type FactContext,
  type Passage,
} from '@/core/account'
import { plural } from '@/core/base'
import { useStore } from '@/page/provider'
import { useLeadTo } from '@/page/use-lead-to'
import { useYields } from '@/page/yields'
import { ReasonInput } from '../shared/reason-input'

/** What strikes in the section as it stands, and what changed in it since it was last read. */
export function AdviceMargin({ context, passages }: { context: FactContext; passages: readonly Passage[] }) {
  const { deed, doIt } = useStore()
  const all = adviceOn(context, passages)
  const { leftAdvice = {} } = context.review
  const open = all.filter((a) => leftAdvice[a.key] === undefined)
  const left = all.filter((a) => leftAdvice[a.key] !== undefined)
  return (
    <>
      <Changed context={context} passages={passages} />
      <section aria-label="Advice" className="above-3">
        <h2>{open.length ? plural(open.length, 'piece of advice', 'pieces of advice') : 'No advice'}</h2>
        {!open.length && <p className="sub">Nothing strikes in text and record.</p>}
        {open.map((a) => (
          <AdviceRow key={a.key} advice={a} context={context} />
        ))}
        {left.map((a) => (
          <p key={a.key} className="sub">
            {a.message} Left, because {leftAdvice[a.key] || 'no reason was given'}.{' '}
            <button className="plain link" onClick={() => deed(doIt(takeAdviceUp, a.key))}>
              raise it again
            </button>
          </p>
        ))}
      </section>
    </>
  )
}

function AdviceRow({ advice, context }: { advice: Advice; context: FactContext }) {
  const { deed, doIt } = useStore()
  const lead = useLeadTo(context.review)
  const [leaving, setLeaving] = useState(false)
  const { passage, mend } = advice
  return (
    <div className="remark">
      <p>
        <b>{advice.message}</b> <span className="sub">{advice.why}</span>
      </p>
      {advice.words && <p className="sub serif">{advice.words}</p>}
      {leaving ? (
        <ReasonInput
          label="Why it is left"
          cancel={() => setLeaving(false)}
          take={(reason) => deed(doIt(leaveAdvice, { key: advice.key, reason }))}
        />
      ) : (
        <p className="sub">
          {passage && (
            <>
              <button
                className="plain link"
                onClick={() =>
                  document.getElementById(`passage-${passage}`)?.scrollIntoView({ behavior: 'smooth' })
                }
              >
                go there
              </button>
              {' · '}
            </>
          )}
          {mend && (
            <>
              <button
                className="plain link"
                onClick={() => lead({ stage: mend.stage, ...(mend.anchor ? { anchor: mend.anchor } : {}) })}
              >
                {mend.label.toLowerCase()}
              </button>
              {' · '}
            </>
          )}
          <button className="plain link" onClick={() => setLeaving(true)}>
            leave it, because …
          </button>
        </p>
      )}
    </div>
  )
}

/** Facts that read otherwise than when a person said last that they had read the section. */
function Changed({ context, passages }: { context: FactContext; passages: readonly Passage[] }) {
  const { deed, doIt } = useStore()
  const { textRead } = context.review
  // What is still being counted would read otherwise in a moment, and be told as a change.
  const counting = useYields((s) => s.counting)
  const changed = factsChanged(context, passages)
  const read = (
    <button className="plain link" onClick={() => deed(doIt(sayRead, factsIn(context, passages)))}>
      {textRead ? 'I have read it as it is now' : 'mark it as read: later changes are then told here'}
    </button>
  )
  if (!passages.length) return null
  return (
    <section aria-label="Changed since you read it" className="above-3">
      {textRead && (
        <p className="sub">
          Read last on {dateWords(textRead.at)}
          {changed.length
            ? `; since then ${plural(changed.length, 'fact')} changed:`
            : '; no fact changed since.'}
        </p>
      )}
      {changed.map((c) => (
        <p key={c.ref} className="fact-change">
          <del>{c.from}</del> → <b>{c.to}</b>
          {c.because && (
            <span className="sub">
              {' '}
              {c.because.words}, {dateWords(c.because.at)}
            </span>
          )}
        </p>
      ))}
      {!counting && (!textRead || changed.length > 0) && <p className="sub">{read}</p>}
    </section>
  )
}
