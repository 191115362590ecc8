import type { Claim } from '../../claims'
import type { Grouped } from '../grouped'
import { ofKind } from './alike'

/** Who looked the searches over: told behind the words and limits that they looked at. */
export const reviewed = (claims: readonly Claim[]): Grouped[] =>
  ofKind(claims, 'SearchesReviewed').map(({ says: _, ...claim }): Grouped => ({
    theme: 'words',
    phase: 'searched',
    stage: 'searches',
    tells: 'reviewed',
    ...claim,
  }))
