'use client'
import { Input, Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { nameCriteria } from '@/core/doing'
import { nameOfPerson, questionsOf, type PassName } from '@/core/review'
import { touchedByChange } from '@/core/selection'
import { useStore } from '@/page/provider'
import type { Selected } from '../use-selected'

/** Giving the criteria, as they stand, a name: what is ruled from then on is ruled under it. */
export function useCriteriaVersion(
  { review, ruled }: Selected,
  pass: PassName,
): { open: () => void; dialog: ReactNode } {
  const { doIt, deed } = useStore()
  const [shown, setShown] = useState(false)
  const [name, setName] = useState('')
  const keep = (): void => {
    if (!name.trim()) return
    deed(doIt(nameCriteria, { name }))
    setName('')
    setShown(false)
  }
  const asked = questionsOf(review, 'broad').length + questionsOf(review, 'close').length
  const touched = shown ? touchedByChange(review, pass)(ruled) : []
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
          {plural(asked, 'question')} as they stand now. What is ruled from here on is ruled under this
          version.{' '}
          {touched.length
            ? `Asked again are the rulings that hung on what reads otherwise now, and no others: ${touched
                .map((t) => `${plural(t.rulings, 'ruling')} of ${nameOfPerson(review, t.reader)}`)
                .join(', ')}. They can be chosen under Works.`
            : 'No ruling of this pass hung on other words, so none is asked again.'}
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
