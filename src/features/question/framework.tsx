'use client'
import { Button, Select } from 'antd'
import { FRAMEWORKS, LETTERS, frameworkOf, rolesLeft, type Review } from '@/core/review'
import { useStore } from '@/store/provider'
import { KeyHint } from '../shared/key-hint'

/** Which published way of breaking down a question is followed; changing it keeps the concepts. */
export function FrameworkChoice({ review, add }: { review: Review; add: () => void }) {
  const { act, deed } = useStore()
  const framework = frameworkOf(review.framework)
  const left = rolesLeft(
    framework,
    review.concepts.map((c) => c.role),
  )
  return (
    <div className="framework">
      <h2 id="concepts-head">Concepts</h2>
      <Select
        size="small"
        variant="borderless"
        aria-label="Framework"
        value={framework.id}
        popupMatchSelectWidth={false}
        options={FRAMEWORKS.map((f) => ({ value: f.id, label: f.id === 'free' ? f.name : `by ${f.name}` }))}
        optionRender={({ value }) => {
          const f = frameworkOf(String(value))
          return (
            <div style={{ padding: '2px 0', maxWidth: 420, whiteSpace: 'normal' }}>
              <b>{f.name}</b> <span className="sub">{f.help}</span>
              {f.roles.length > 0 && <div className="sub">{f.roles.map((r) => r.name).join(' · ')}</div>}
            </div>
          )
        }}
        onChange={(id) => deed(act('framework.set', { framework: id }))}
      />
      <span className="sub">
        {framework.help}
        {left.length > 0 && review.concepts.length > 0 && ` No concept yet for: ${left.join(', ')}.`}
      </span>
      {review.concepts.length > 0 && review.concepts.length < LETTERS.length && (
        <Button size="small" style={{ marginLeft: 'auto' }} onClick={add}>
          New concept
          <KeyHint of="concept-add" />
        </Button>
      )}
    </div>
  )
}
