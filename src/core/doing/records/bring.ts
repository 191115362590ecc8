import type { ZodType } from 'zod'
import { blockBytes, RULES_VERSION, type LaidOut } from '../../records'
import {
  inRound,
  KINDS,
  standingImports,
  type Command,
  type CommandOf,
  type Import,
  type Kind,
  type Review,
} from '../../review'
import type { Doing, DoingAt } from '../doing'

/** Records that are brought in, as they were laid down beside the journal. */
export interface Brought extends Pick<Import, 'runId' | 'file' | 'broken' | 'of'> {
  sourceId: string
  at: LaidOut
  count: number
  /** Why they take the place of what the source brought before; absent: they come beside it. */
  insteadBecause?: string | undefined
  /** One part that they take the place of alone: the same records, read or typed otherwise. */
  insteadOf?: string | undefined
}

/** What the source brought that stands now. */
export const partsOf = (review: Review, sourceId: string): Import[] =>
  standingImports(review).filter((i) => i.sourceId === sourceId)

/** The command that brings records in. */
export function importOf(
  { review, now, newId }: Omit<DoingAt, 'person'>,
  { sourceId, at, count, insteadBecause, insteadOf, ...about }: Brought,
): CommandOf<'records.import'> {
  const parts = partsOf(review, sourceId).map((i) => i.id)
  const before =
    insteadBecause === undefined ? [] : parts.filter((id) => insteadOf === undefined || id === insteadOf)
  return {
    kind: 'records.import',
    payload: {
      id: newId(),
      sourceId,
      ...at,
      count,
      at: now,
      ...inRound(review),
      ...about,
      ...(before.length ? { supersedes: { ids: before, because: insteadBecause! } } : {}),
    },
  }
}

/** A command that changes which records stand. */
export type Bringing = CommandOf<'records.import'> | CommandOf<'record.mend'>

/** What the rules make of the records of imports, found elsewhere because it takes long: the blocks are laid down by `keep`. */
export interface Slow {
  /** Undefined where it was stopped. */
  match: (
    imports: readonly Import[],
  ) => Promise<{ imports: string[]; classes: readonly number[]; toSettle: readonly number[] } | undefined>
  keep: (bytes: Uint8Array) => Promise<string>
}

/** Is a review told apart by stored rules, or, having no records yet, about to be? */
export const hasRules = ({ partition, imports }: Pick<Review, 'partition' | 'imports'>): boolean =>
  partition !== undefined || imports.length === 0

/** The command that puts what the rules made of these imports into force. */
export const partitionSet = (
  imports: readonly string[],
  digest: string,
  toSettle: string,
): CommandOf<'partition.set'> => ({
  kind: 'partition.set',
  payload: { rules: RULES_VERSION, imports: [...imports], digest, toSettle },
})

/** The same, found and laid down; undefined where it was stopped. */
export async function partitionOfAll(
  { match, keep }: Slow,
  imports: readonly Import[],
): Promise<Command | undefined> {
  const found = await match(imports)
  if (!found) return undefined
  const digest = await keep(blockBytes([...found.classes]))
  return partitionSet(found.imports, digest, await keep(blockBytes([...found.toSettle])))
}

const isBringing = (command: Command): command is Bringing =>
  command.kind === 'records.import' || command.kind === 'record.mend'

/** The imports as they will stand behind such commands. */
function importsAfter(review: Review, commands: readonly Command[]): Import[] {
  const after = { ...review, imports: [...review.imports] }
  for (const { kind, payload } of commands.filter(isBringing))
    (KINDS[kind] as Kind<ZodType<typeof payload>>).apply(after, payload, { seq: 0, at: '', by: '' })
  return after.imports
}

/**
 * Commands of which some change which records stand, with what the rules make of all records then, as one deed: the one way in which
 * records come into a review, on the screen, on the command line and in the demo. Where a review still stands under the
 * first form's rules, newer ones are offered elsewhere and change nothing here. Undefined where it was stopped.
 */
export async function withRules(
  review: Review,
  commands: readonly Command[],
  slow: Slow,
): Promise<readonly Command[] | undefined> {
  if (!hasRules(review) || !commands.some(isBringing)) return commands
  const partition = await partitionOfAll(slow, importsAfter(review, commands))
  return partition && [...commands, partition]
}

/** Puts what the present rules made of all records into force, in the place of what older ones did. */
export const tellApartAnew: Doing<Command> = (_at, command) => [command]
