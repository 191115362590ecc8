import { listed } from '../../../base'
import { searchedIn } from '../../../figures'
import type { Rule } from '../advice'

/** Of every database: through what it was reached, what it covered, and its strategy. */
export const databaseUntold: Rule = ({ context }) =>
  searchedIn(context.review).flatMap((s) => {
    const known = context.source(s.id)
    const runs = context.review.runs.filter((r) => r.sourceId === s.id)
    const missing = [
      ...(s.platform || known?.releaseWords || runs.some((r) => r.platform) ? [] : ['its platform']),
      ...(s.coverage || known?.releaseWords || runs.some((r) => r.release.trim()) ? [] : ['what it covered']),
    ]
    return missing.length
      ? [
          {
            matter: s.id,
            message: `Of ${s.name} the record does not tell ${listed(missing)}.`,
            mend: { stage: 'question' as const, anchor: `source:${s.id}`, label: 'Note it with the source' },
          },
        ]
      : []
  })
