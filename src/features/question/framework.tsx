'use client'
import { Button } from 'antd'
import { LETTERS, frameworkOf, rolesLeft, type Review } from '@/core/review'
import { later } from '@/ui/later'
import { KeyHint } from '../shared/key-hint'

const FrameworkSelect = later(() => import('./framework-select').then((m) => m.FrameworkSelect), {
  beside: true,
})

/** Which published way of breaking down a question is followed; changing it keeps the concepts. */
export function FrameworkChoice({ review, add }: { review: Review; add: () => void }) {
  const framework = frameworkOf(review.framework)
  const left = rolesLeft(
    framework,
    review.concepts.map((c) => c.role),
  )
  return (
    <div className="framework">
      <h2 id="concepts-head">Concepts</h2>
      <FrameworkSelect framework={framework} />
      <span className="sub">
        {framework.help}
        {left.length > 0 && review.concepts.length > 0 && ` No concept yet for: ${left.join(', ')}.`}
      </span>
      {review.concepts.length > 0 && review.concepts.length < LETTERS.length && (
        <Button size="small" className="apart" onClick={add}>
          New concept
          <KeyHint of="concept-add" />
        </Button>
      )}
    </div>
  )
}
