import { inRound, type Line, type Review, type Run } from '@/core/review'
import { lineKeys, PRESENT_RULE, reachedBy } from '@/core/strategy'
import { evidenceNow } from '@/standins'
import type { SourceInfo } from '@/standins/source-info'

/** What a run is known by: what it asked, of what, and under which round. */
export function runIdentity(
  review: Review,
  info: SourceInfo,
  lines: readonly Line[],
  lineId: string,
): Pick<Run, 'key' | 'keyRule' | 'reached' | 'evidence' | 'roundId'> {
  return {
    key: lineKeys(lines).get(lineId)!,
    keyRule: PRESENT_RULE.version,
    reached: reachedBy(lines, lineId),
    evidence: evidenceNow({
      standinId: info.standin?.id,
      release: info.release,
      profile: info.profile,
      vocabularyFile: info.vocabulary?.file?.digest,
    }),
    ...inRound(review),
  }
}
