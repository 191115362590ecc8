'use client'
import { Button, Input, Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import { putInGroup } from '@/core/doing'
import { useSession, useStore } from '@/page/provider'
import type { WorkView } from '@/workers'

/** Putting a work into groups: a dialog with those there are, by letter, and a line for a new one. */
export function useGrouping(work: WorkView | undefined): { open: () => void; dialog: ReactNode } {
  const { deed, doIt } = useStore()
  const groups = useSession((s) => s.folded.review.groups) ?? []
  const [shown, setShown] = useState(false)
  const [name, setName] = useState('')
  const grouped = work && { id: work.id, records: work.records.map((r) => r.id) }
  const put = (group: string, isIn: boolean): void => {
    if (grouped) deed(doIt(putInGroup, { work: grouped, isIn, group }))
  }
  const create = (): void => {
    if (!grouped || !name.trim()) return
    deed(doIt(putInGroup, { work: grouped, isIn: true, named: name }))
    setName('')
    setShown(false)
  }
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Groups of this work"
        footer={null}
        width={420}
        onCancel={() => setShown(false)}
        destroyOnHidden
      >
        {groups.map((g) => {
          const isIn = work?.groups.includes(g.id) ?? false
          return (
            <p key={g.id} className="group-line">
              <Button
                size="small"
                type={isIn ? 'primary' : 'default'}
                aria-pressed={isIn}
                onClick={() => put(g.id, !isIn)}
              >
                {g.name}
              </Button>{' '}
              <span className="sub">{g.records.length} in it</span>
            </p>
          )
        })}
        <Input
          autoFocus
          placeholder="a new group, and Enter"
          aria-label="Name of a new group"
          value={name}
          onChange={(e) => setName(e.target.value)}
          onPressEnter={create}
        />
      </Modal>
    ),
  }
}
