'use client'
import { Input, Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import type { Review } from '@/core/review'
import { useStore } from '@/store/provider'

/** Giving the criteria, as they stand, a name: what is ruled from then on is ruled under it. */
export function useCriteriaVersion(review: Review): { open: () => void; dialog: ReactNode } {
  const { act, deed, newId, now } = useStore()
  const [shown, setShown] = useState(false)
  const [name, setName] = useState('')
  const keep = (): void => {
    if (!name.trim()) return
    deed(act('criteria.version', { id: newId(), name: name.trim(), at: now() }))
    setName('')
    setShown(false)
  }
  const asked = review.criteria.filter((c) => c.text.trim()).length
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Name this version of the criteria"
        okText="Name it"
        onOk={keep}
        okButtonProps={{ disabled: !name.trim() }}
        onCancel={() => setShown(false)}
        width={440}
        destroyOnHidden
      >
        <p className="sub">
          {plural(asked, 'question')} as they stand now. What you rule from here on is ruled under this
          version; what was ruled before can be listed and looked at again.
        </p>
        <Input
          autoFocus
          placeholder="after the first fifty"
          aria-label="Name of the version"
          value={name}
          onChange={(e) => setName(e.target.value)}
          onPressEnter={keep}
        />
      </Modal>
    ),
  }
}
