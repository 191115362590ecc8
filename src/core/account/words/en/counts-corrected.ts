import { were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const countsCorrected: Words<FoundOf<'counts-corrected'>> = {
  says: ({ runs }) => [
    `${fact('^runs.corrected')} ${were(runs)} logged wrongly at first and corrected, with why in Appendix B.`,
    `Logged wrongly at first and corrected, with why in Appendix B, ${were(runs)} ${fact('runs.corrected')}.`,
  ],
}
