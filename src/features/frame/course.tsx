'use client'
import Link from 'next/link'
import { memo, useMemo } from 'react'
import { courseFigures, inlinesOf, type FactContext, type Passage } from '@/core/account'
import { plural } from '@/core/base'
import { useAccountSoon } from '@/store/use-account'
import { CourseBand } from '@/ui/course-band'
import { useWidth } from '@/ui/use-width'
import { reviewAddress } from '@/store/address'

/** The six stages as one band: the way to move, the overview, and the progress. */
export function Course({ reviewId, stage }: { reviewId: string; stage: string }) {
  return <Band reviewId={reviewId} stage={stage} {...useAccountSoon()} />
}

/** Drawn again only where a figure could be another. */
const Band = memo(function Band({
  reviewId,
  stage,
  context,
  passages,
}: {
  reviewId: string
  stage: string
  context: FactContext
  passages: readonly Passage[]
}) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const figures = useMemo(() => courseFigures(context.figures), [context])
  const facts = passages.reduce((n, p) => n + [...inlinesOf(p)].filter((i) => i.type === 'fact').length, 0)
  return (
    <div className="course" ref={ref}>
      <CourseBand
        width={width}
        height={80}
        top={34}
        left={26}
        figures={figures.map((f) => f.value)}
        letters={context.review.concepts.map((c) => c.letter)}
      />
      <nav aria-label="Stages">
        {figures.map((f) => (
          <Link
            key={f.stage}
            href={reviewAddress(reviewId, f.stage)}
            prefetch={false}
            className={f.stage === stage ? 'here' : ''}
            aria-current={f.stage === stage ? 'page' : undefined}
          >
            <span>{f.name}</span>
            <span className="figure">{f.stage === 'methods' ? plural(facts, 'fact') : f.words}</span>
          </Link>
        ))}
      </nav>
    </div>
  )
})
