import { questionsOf, type PassName } from '../../review'
import type { FactContext } from '../facts'

/** The questions of a pass, and of how many works these, others, or nobody knows which were asked. */
export interface AskedOf {
  criterionIds: string[]
  these: number
  others: number
  notNoted: number
}

export function askedOfPass({ review, figures }: FactContext, pass: PassName): AskedOf {
  const asked = (how: 'these' | 'others' | 'not noted'): number =>
    figures.read[pass].reduce((n, r) => n + (r.asked === how ? r.count : 0), 0)
  return {
    criterionIds: questionsOf(review, pass).map((q) => q.id),
    these: asked('these'),
    others: asked('others'),
    notNoted: asked('not noted'),
  }
}
