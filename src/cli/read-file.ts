import { readFileSync } from 'node:fs'
import { messageOf } from '../core/base'
import { UsageError } from './arguments'

/** The text of a file; what cannot be read is an error of the call. */
export function readFile(name: string): string {
  try {
    return readFileSync(name, 'utf8')
  } catch (error) {
    throw new UsageError(`${name} could not be read: ${messageOf(error)}`)
  }
}
