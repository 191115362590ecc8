import { writeFileSync } from 'node:fs'
import { messageOf, thousands } from '../core/base'
import { UsageError } from './arguments'
import type { Outcome } from './command'
import { STANDARD } from './input'

/** Writes a file beside what is printed; where that cannot be done the call was wrong. */
export function writeOut(out: string, made: Uint8Array | string): void {
  try {
    writeFileSync(out, made)
  } catch (error) {
    throw new UsageError(`${out} could not be written: ${messageOf(error)}`)
  }
}

/** What a command is there to make: into a file, and what was written is said; or to standard output and nothing else there. */
export function handedOut(
  out: string,
  made: Uint8Array | string,
  said?: string,
): Pick<Outcome, 'output' | 'bytes'> {
  if (out === STANDARD) return typeof made === 'string' ? { output: made } : { bytes: made }
  writeOut(out, made)
  return { output: said ?? `${thousands(made.length)} bytes written to ${out}.` }
}
