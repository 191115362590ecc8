import type { z } from 'zod'
import { ACCOUNT_KINDS } from './account'
import { JOURNAL_KINDS } from './journal'
import { NO_BLOBS, type Kind } from './kind'
import { LIST_KINDS } from './lists'
import { PLAN_KINDS } from './plan'
import { QUESTION_KINDS } from './question'
import { RECORD_KINDS } from './records'
import { SEARCH_REVIEW_KINDS } from './search-review'
import { SEARCH_KINDS } from './searches'
import { SELECTION_KINDS } from './selection'
import { SIDE_KINDS } from './side'
import { STRATEGY_KINDS } from './strategy'
import { TERM_KINDS } from './terms'
import { WRITING_KINDS } from './writing'

const ALL = {
  ...QUESTION_KINDS,
  ...PLAN_KINDS,
  ...TERM_KINDS,
  ...STRATEGY_KINDS,
  ...SEARCH_KINDS,
  ...RECORD_KINDS,
  ...LIST_KINDS,
  ...SELECTION_KINDS,
  ...ACCOUNT_KINDS,
  ...WRITING_KINDS,
  ...SEARCH_REVIEW_KINDS,
  ...JOURNAL_KINDS,
  ...SIDE_KINDS,
}

export type CommandKind = keyof typeof ALL
export type PayloadOf<K extends CommandKind> = z.infer<(typeof ALL)[K]['schema']>

/** All kinds of commands by name. A name is never given another meaning. */
export const KINDS = ALL as { readonly [K in CommandKind]: Kind<z.ZodType<PayloadOf<K>>> }

/** The kind of a command without its type, for whoever deals with any: the payload must be one of this kind. */
export const kindNamed = (name: string): Kind<z.ZodType<unknown>> | undefined =>
  Object.hasOwn(ALL, name) ? (KINDS[name as CommandKind] as unknown as Kind<z.ZodType<unknown>>) : undefined
/** May a command of this kind reach something beside the journal? Of one that is not known here nothing can be said. */
export const reachesBytes = (name: string): boolean => kindNamed(name)?.blobs !== NO_BLOBS
export { said, type Kind, type Undo, type Words, type Written } from './kind'
