'use client'
import { App, Button } from 'antd'
import { useState } from 'react'
import { plural, thousands } from '@/core/base'
import type { Source } from '@/core/review'
import { useStore } from '@/page/provider'
import type { Selected } from '../use-selected'
import { follow } from './follow'

/** Following references from the works that are still in: step by step, until a step brings nothing new. */
export function Following({ source, selected }: { source: Source; selected: Selected }) {
  const store = useStore()
  const { message } = App.useApp()
  const { review, works, placed } = selected
  const [busy, setBusy] = useState(false)
  const steps = (review.steps ?? []).filter((s) => s.sourceId === source.id)
  const followedOnce = new Set(steps.flatMap((s) => s.of))
  const kept = works.filter(({ id }) =>
    ['to be sought', 'sought', 'close open', 'included'].includes(placed(id).place),
  )
  const next = kept.filter((w) => !w.records.some((id) => followedOnce.has(id)))
  const cited = source.kind === 'reference lists'
  const run = async (): Promise<void> => {
    setBusy(true)
    try {
      const { named, known, added } = await follow(
        store,
        source,
        next.map((w) => w.id),
      )
      message.success(
        added
          ? `${plural(named, 'work')} ${cited ? 'cited' : 'citing'}; ${thousands(known)} were here already, ${plural(added, 'record')} came in.`
          : `${plural(named, 'work')} ${cited ? 'cited' : 'citing'}, none of them new.`,
        6,
      )
    } finally {
      setBusy(false)
    }
  }
  return (
    <>
      {steps.map((s, n) => (
        <p key={s.id} className="sub way-step">
          Step {n + 1}: from {plural(s.of.length, 'work')}, {thousands(s.named)} named, {thousands(s.known)}{' '}
          here already
          {s.named === s.known ? '; it brought nothing new.' : `, ${thousands(s.named - s.known)} new.`}
        </p>
      ))}
      <p className="way-deeds">
        <Button size="small" disabled={!next.length || busy} loading={busy} onClick={() => store.deed(run())}>
          {cited ? 'Read the references of' : 'See what cites'} {plural(next.length, 'work')} still in
        </Button>
        <span className="sub">
          {next.length
            ? 'This runs in invented databases that know references; of others, bring the list in as a file.'
            : kept.length
              ? 'Every work that is still in has been followed.'
              : 'Works that pass titles and abstracts will be followed from here.'}
        </span>
      </p>
    </>
  )
}
