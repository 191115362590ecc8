import { z } from 'zod'
import { KINDS, kindNamed, type CommandKind, type PayloadOf } from './kinds'

/** Something that can be done to a review. Each becomes one entry of the journal. */
export type Command = { [K in CommandKind]: { kind: K; payload: PayloadOf<K> } }[CommandKind]
export type CommandOf<K extends CommandKind> = Extract<Command, { kind: K }>
export type { CommandKind }

const of = (name: string) => z.object({ kind: z.literal(name), payload: kindNamed(name)!.schema })
const [first, ...others] = Object.keys(KINDS)

/** What a command must be to be taken in. */
export const Command = z.discriminatedUnion('kind', [
  of(first!),
  ...others.map(of),
]) as unknown as z.ZodType<Command>
