import { readFileSync } from 'node:fs'
import { messageOf } from '../core/base'
import { UsageError } from './arguments'

/** What stands for standard input and standard output in the place of a file. */
export const STANDARD = '-'

let standard: Uint8Array | undefined

/** The bytes of a file, or of standard input, which is read once however often it is asked for; else the call was wrong. */
export function inputBytes(file: string): Uint8Array {
  try {
    if (file !== STANDARD) return new Uint8Array(readFileSync(file))
    return (standard ??= new Uint8Array(readFileSync(0)))
  } catch (error) {
    throw new UsageError(
      `${file === STANDARD ? 'Standard input' : file} could not be read: ${messageOf(error)}`,
    )
  }
}

/** The same as text. */
export const inputText = (file: string): string => new TextDecoder().decode(inputBytes(file))
