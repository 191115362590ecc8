'use client'
import { Button, Input, Modal, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { notRuledBy, ruleMany } from '@/core/doing'
import { personId, type PassName } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { namedWorks, useNamedWorks } from '../../shared/named-works'
import type { Selected } from '../use-selected'

/** Ruling many works out as one deed, which a filter or a group names; nobody reads them, and the flow says so. */
export function useMany(pass: PassName, selected: Selected): { open: () => void; dialog: ReactNode } {
  const { doIt, deed, inName } = useStore()
  const person = useSession((s) => s.person)
  const { review, ruled } = selected
  const [shown, setShown] = useState(false)
  const [of, setOf] = useState<string>()
  const [because, setBecause] = useState('')
  const found = useNamedWorks(review, shown ? of : undefined)
  const options = namedWorks(review)
  const left = found && notRuledBy(personId(review, person), pass, found, ruled)
  const rule = (): void => {
    if (!left?.length || !because.trim()) return
    inName(() => {
      const which = options.find((o) => o.value === of)?.label ?? ''
      deed(doIt(ruleMany, { ids: left, ruled, pass, because, which }))
      setShown(false)
      setBecause('')
      setOf(undefined)
    })
  }
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Several works out at once"
        footer={null}
        width={460}
        onCancel={() => setShown(false)}
        destroyOnHidden
      >
        {options.length ? (
          <div className="many">
            <Select
              aria-label="Which works"
              placeholder="which works: a kept filter or a group"
              {...(of === undefined ? {} : { value: of })}
              options={options}
              onChange={setOf}
              autoFocus
            />
            <Input
              aria-label="Why they are out"
              placeholder="because …"
              value={because}
              onChange={(e) => setBecause(e.target.value)}
              onPressEnter={rule}
            />
            <p className="sub">
              {left
                ? `${plural(left.length, 'work')} of these that you have not ruled. They are told as removed before screening, because nobody reads them; one undo takes all of it back.`
                : 'Works that you ruled already stay as they are.'}
            </p>
            <Button type="primary" disabled={!left?.length || !because.trim()} onClick={rule}>
              Out, all of them
            </Button>
          </div>
        ) : (
          <p className="empty">
            Narrow the list under Records to the works that are meant, and keep that view as a filter; it can
            be chosen here then.
          </p>
        )}
      </Modal>
    ),
  }
}
