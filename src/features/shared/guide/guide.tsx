'use client'
import { Button, Input } from 'antd'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { keyOf, useAllActions, useRegistry } from '@/page/actions'
import { keySign } from '@/ui/key-sign'
import { guideFor, type GuidePage } from './pages'
import css from './guide.module.css'

/**
 * The guide, open beside the work in the place of the account: the stage one is at first, and every other one when words
 * are looked for. It takes the focus when it comes, so that the arrow keys read on in it.
 */
export function Guide({ stage, close }: { stage: string; close: () => void }) {
  const [asked, setAsked] = useState('')
  const pane = useRef<HTMLElement>(null)
  useEffect(() => pane.current?.focus(), [])
  const found = guideFor(asked)
  const shown = asked.trim() ? found : found.filter((p) => p.stage === stage)
  const leave = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape') return
    event.preventDefault()
    close()
  }
  return (
    <aside ref={pane} className={css.guide} tabIndex={-1} aria-label="Guide" onKeyDown={leave}>
      <div className={css.head}>
        <h2>Guide</h2>
        <Button size="small" onClick={close}>
          Close
        </Button>
      </div>
      <Input
        className={css.search}
        size="small"
        value={asked}
        aria-label="Search the guide"
        placeholder="Search all stages"
        onChange={(e) => setAsked(e.target.value)}
      />
      {shown.map((page) => (
        <Page key={page.stage} page={page} />
      ))}
      {!shown.length && <p className="empty">The guide says nothing of that. Try another word.</p>}
    </aside>
  )
}

function Page({ page }: { page: GuidePage }) {
  return (
    <section className={css.page} aria-label={page.title}>
      <h3>{page.title}</h3>
      <p className="sub">{page.aim}</p>
      {page.parts.map((part) => (
        <div key={part.head} className={css.part}>
          <b>{part.head}</b>
          {part.words}
          <Keys of={part.actions ?? []} />
        </div>
      ))}
    </section>
  )
}

/** The keys of actions that are offered on this stage now, as the person has set them. */
function Keys({ of }: { of: readonly string[] }) {
  const own = useRegistry((s) => s.own)
  const offered = useAllActions()
  const here = of.flatMap((id) => {
    const action = offered.find((a) => a.id === id)
    const key = action && keyOf(action, own)
    return action && key && !own.off ? [{ id, key, label: action.label }] : []
  })
  if (!here.length) return null
  return (
    <span className={`sub ${css.keys}`}>
      {here.map(({ id, key, label }) => (
        <span key={id}>
          <kbd>{keySign(key)}</kbd> {label}
        </span>
      ))}
    </span>
  )
}
