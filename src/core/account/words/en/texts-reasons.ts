import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const textsReasons: Words<FoundOf<'texts-reasons'>> = {
  says: () => [
    'For {reasons.own} of those set aside, the reason is none of the questions asked.',
    'The reason is none of the questions asked for {reasons.own} of those set aside.',
  ],
}
