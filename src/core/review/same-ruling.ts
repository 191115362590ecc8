import { canonicalJson } from '../base'
import type { Ruling } from './values'

/** Does this say what was said already: the same verdict and reason, of the same questions, with the same note? */
export function saysTheSame(before: Ruling | undefined, now: Ruling): boolean {
  if (!before || before.unread) return false
  const said = ({ verdict, criterionId, reason, answers, version, note }: Ruling): string =>
    canonicalJson({ verdict, criterionId, reason, answers, version, note })
  return said(before) === said(now)
}
