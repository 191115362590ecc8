'use client'
import { Button, Input, InputNumber } from 'antd'
import { useState } from 'react'
import { thousands } from '@/core/base'
import { correctRun } from '@/core/doing'
import type { Run } from '@/core/review'
import { useStore } from '@/page/provider'

/** A count that was logged wrongly is corrected by another run, with the reason; both are kept. */
export function CorrectRun({ run }: { run: Run }) {
  const { deed, doIt } = useStore()
  const [open, setOpen] = useState(false)
  const [hits, setHits] = useState<number | null>(run.hits)
  const [because, setBecause] = useState('')
  if (!open)
    return (
      <button className="plain link" onClick={() => setOpen(true)}>
        correct this count, because …
      </button>
    )
  const ready = hits !== null && hits !== run.hits && because.trim() !== ''
  const correct = (): void => {
    if (!ready) return
    deed(doIt(correctRun, { run, hits, because }))
    setOpen(false)
  }
  return (
    <span role="group" aria-label={`Correct ${thousands(run.hits)} hits`} className="correct-run">
      <InputNumber
        autoFocus
        size="small"
        min={0}
        precision={0}
        controls={false}
        aria-label="The right count"
        value={hits}
        onChange={setHits}
        onPressEnter={correct}
      />{' '}
      because{' '}
      <Input
        size="small"
        className="wide-5"
        aria-label="Why the count was wrong"
        placeholder="mistyped; read from another line; …"
        value={because}
        onChange={(e) => setBecause(e.target.value)}
        onPressEnter={correct}
      />{' '}
      <Button size="small" disabled={!ready} onClick={correct}>
        Correct it
      </Button>{' '}
      <button className="plain link" onClick={() => setOpen(false)}>
        leave it
      </button>
    </span>
  )
}
