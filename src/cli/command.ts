import type { Problem } from '../core/base'
import type { Arguments, Options } from './arguments'

/** What a command came to: exit code, what it prints, and what goes to standard error. */
export interface Outcome {
  /** 0, it is done; 1, something is wrong with what was given; 3, something could not be checked. 2 is a call that was not understood. */
  exit: 0 | 1 | 3
  output?: string
  /** A file for standard output, as it is. */
  bytes?: Uint8Array
  errors?: string[]
}

export interface CliCommand {
  /** What it does, in a line. */
  help: string
  /** What stands behind its name. */
  usage: string
  /** What one has to know of its options. */
  note?: string
  /** A call that one may have in mind, without the name. */
  example: string
  options: Options
  /** It takes files by their names alone. */
  files?: boolean
  run: (args: Arguments) => Outcome | Promise<Outcome>
}

/** A problem as one line on standard error, with its place. */
export function problemLine(p: Problem): string {
  const at = Array.isArray(p.at) ? ` (characters ${p.at[0]}–${p.at[1]})` : p.at ? ` (${String(p.at)})` : ''
  return `${p.severity}: ${p.message}${at}`
}
