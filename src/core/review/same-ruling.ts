import { canonicalJson } from '../base'
import type { Ruling } from './values'

/** Does this say what was said already: the same verdict and reason, of the same questions, with the same note, on the same text? */
export function saysTheSame(before: Ruling | undefined, now: Ruling): boolean {
  if (!before || before.unread) return false
  const said = ({ verdict, criterionId, reason, answers, version, note, asked, text }: Ruling): string =>
    canonicalJson({ verdict, criterionId, reason, answers, version, note, asked, text })
  return said(before) === said(now)
}
