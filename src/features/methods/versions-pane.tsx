'use client'
import { useState } from 'react'
import { dateWords, type FactContext, type Passage } from '@/core/account'
import type { Told } from '@/core/figures'
import { Deposited } from './deposited'
import { FreezeText } from './freeze-text'
import { Frozen } from './frozen-text'

/** Texts that were frozen: named, to be read again and compared. What is frozen never changes. */
export function VersionsPane({
  context,
  told,
  passages,
}: {
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const frozen = context.review.frozenTexts ?? []
  const [chosen, setChosen] = useState<string>()
  const shown = frozen.find((f) => f.id === chosen) ?? frozen.at(-1)
  return (
    <div className="page" id="versions">
      <div className="page-head">
        <h1>Frozen texts</h1>
      </div>
      <FreezeText context={context} told={told} passages={passages} />
      <Deposited context={context} />
      {shown && (
        <>
          <ul className="frozen-list">
            {frozen.toReversed().map((f) => (
              <li key={f.id}>
                <button className="plain" aria-current={f.id === shown.id} onClick={() => setChosen(f.id)}>
                  <b>{f.name}</b>{' '}
                  <span className="sub">
                    {f.purpose === 'submission' ? 'for submission' : 'a version'}, {dateWords(f.at)}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Frozen key={shown.id} frozen={shown} context={context} told={told} passages={passages} />
        </>
      )}
    </div>
  )
}
