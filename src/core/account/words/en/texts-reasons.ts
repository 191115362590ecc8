import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const textsReasons: Words<FoundOf<'texts-reasons'>> = {
  says: () => [
    `For ${fact('reasons.own')} of those set aside, the reason is none of the questions asked.`,
    `The reason is none of the questions asked for ${fact('reasons.own')} of those set aside.`,
  ],
}
