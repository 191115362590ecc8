import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

/** Behind what was read in full, of which so many remain. */
export const studies: Words<FoundOf<'studies'>> = {
  says: () => [
    `Those that remain report ${fact('studies')}.`,
    `Between them, those that remain report ${fact('studies')}.`,
  ],
}
