'use client'
import { InputNumber, Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { drawSample } from '@/core/doing'
import { useStore } from '@/page/provider'
import type { Selected } from '../use-selected'

/**
 * Drawing works by chance into a group, to be read by both readers before the rest: what they see differently shows where
 * the criteria are not clear yet. `read` is given what narrows the pass to the group.
 */
export function useSample(
  { works, placed }: Selected,
  read: (which: string) => void,
): { open: () => void; dialog: ReactNode } {
  const { doIt, deed, newId } = useStore()
  const [shown, setShown] = useState(false)
  const [count, setCount] = useState(50)
  // Looked for only where somebody asks: it goes through all works.
  const left = shown ? works.filter((w) => placed(w.id).place === 'unread') : []
  const most = Math.min(count, left.length)
  const draw = (): void => {
    if (!most) return
    const group = newId()
    deed(doIt(drawSample, { from: left, count: most, group }).then(() => read(`group:${group}`)))
    setShown(false)
  }
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Draw a sample to read together"
        okText={most ? `Draw ${plural(most, 'work')}` : 'Draw'}
        onOk={draw}
        okButtonProps={{ disabled: !most }}
        onCancel={() => setShown(false)}
        width={440}
        destroyOnHidden
      >
        <p className="sub">
          By chance, from the {plural(left.length, 'work')} that nobody has ruled. They become a group: each
          reader chooses it under Works, rules it without seeing the other, and what you see differently
          stands under To settle. Then sharpen the criteria and give them a name.
        </p>
        <InputNumber
          autoFocus
          min={1}
          max={Math.max(1, left.length)}
          aria-label="How many works"
          value={Math.max(1, most)}
          onChange={(value) => setCount(value ?? 1)}
          onPressEnter={draw}
        />
      </Modal>
    ),
  }
}
