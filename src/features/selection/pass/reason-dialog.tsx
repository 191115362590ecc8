'use client'
import { Button, Input, Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import type { Criterion } from '@/core/review'

/** Asks for the one main reason of a work that goes out: a question, or words. */
export function useReason(
  criteria: readonly Criterion[],
  take: (reason: { criterionId?: string; reason?: string }) => void,
): { open: () => void; dialog: ReactNode } {
  const [shown, setShown] = useState(false)
  const [words, setWords] = useState('')
  const chosen = (reason: { criterionId?: string; reason?: string }): void => {
    setShown(false)
    setWords('')
    take(reason)
  }
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Out, by which main reason?"
        footer={null}
        width={440}
        onCancel={() => setShown(false)}
        destroyOnHidden
      >
        {criteria.map((c) => (
          <p key={c.id} className="reason-line">
            <Button size="small" onClick={() => chosen({ criterionId: c.id })}>
              {c.text}
            </Button>
          </p>
        ))}
        <Input
          autoFocus
          placeholder="another reason, and Enter"
          aria-label="Another reason"
          value={words}
          onChange={(e) => setWords(e.target.value)}
          onPressEnter={() => words.trim() && chosen({ reason: words })}
        />
      </Modal>
    ),
  }
}
