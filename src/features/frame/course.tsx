'use client'
import Link from 'next/link'
import { memo, useMemo } from 'react'
import { courseFigures } from '@/core/account'
import { useSession } from '@/page/provider'
import { CourseBand } from '@/ui/course-band'
import { later } from '@/ui/later'
import { useWidth } from '@/ui/use-width'
import { reviewAddress } from '@/page/address'

/** It is counted where the section is drafted, and that comes behind the stage. */
const FactCount = later(() => import('./fact-count').then((m) => m.FactCount), { beside: true })

/** The six stages as one band: the way to move, the overview, and the progress. Drawn again only where it could be another. */
export const Course = memo(function Course({ reviewId, stage }: { reviewId: string; stage: string }) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const counted = useSession((s) => s.told.figures)
  const concepts = useSession((s) => s.folded.review.concepts)
  const figures = useMemo(() => courseFigures(counted), [counted])
  return (
    <div className="course" ref={ref}>
      <CourseBand
        width={width}
        height={80}
        top={34}
        left={26}
        figures={figures.map((f) => f.value)}
        letters={concepts.map((c) => c.letter)}
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
            <span className="figure">{f.stage === 'methods' ? <FactCount /> : f.words}</span>
          </Link>
        ))}
      </nav>
    </div>
  )
})
