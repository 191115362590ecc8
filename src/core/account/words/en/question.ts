import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import { afterwards, commaBecause } from './reason'
import { concept, databases, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

export const asked: Words<FoundOf<'asked'>> = { says: () => [`The review asks: ${fact('question')}`] }

export const divided: Words<FoundOf<'divided'>> = {
  says: (_, say) =>
    say(
      [
        `We divided the question into ${fact('concept.names')}.`,
        `Its question was divided into ${fact('concept.names')}.`,
      ],
      [
        `The question was divided into ${fact('concept.names')}.`,
        `It was divided into ${fact('concept.names')}.`,
      ],
    ),
}

export const oneEnough: Words<FoundOf<'one-enough'>> = {
  says: ({ conceptIds, done, butIn }) => {
    const verb = !done ? 'is to be' : butIn.length ? 'was to be' : 'was'
    const but = butIn.length
      ? `; ${butIn.length === 1 ? 'the search' : 'the searches'} in ${databases(butIn)} had it otherwise`
      : ''
    return [
      `Of ${listed(conceptIds.map(concept))}, one ${verb} enough${but}.`,
      `One of ${listed(conceptIds.map(concept))} ${verb} enough${but}.`,
    ]
  },
}

export const notRequired: Words<FoundOf<'not-required'>> = {
  says: ({ conceptIds, reason, done, butIn }, say) => {
    const ids = listed(conceptIds.map(concept))
    const why = commaBecause(reason)
    const own = afterwards(reason)
    if (!done)
      return say(
        [
          `We plan not to require ${ids} in the searches${why}.${own}`,
          `The searches are not to require ${ids}${why}.${own}`,
        ],
        [
          `The searches are not to require ${ids}${why}.${own}`,
          `Not to be required in the searches ${conceptIds.length === 1 ? 'is' : 'are'} ${ids}${why}.${own}`,
        ],
      )
    if (butIn.length) {
      const but = `; ${butIn.length === 1 ? 'the search' : 'the searches'} in ${databases(butIn)} required ${conceptIds.length === 1 ? 'it' : 'them'} all the same`
      return say(
        [
          `We had planned not to require ${ids} in the searches${why}${but}.${own}`,
          `The searches were not to require ${ids}${why}${but}.${own}`,
        ],
        [
          `The searches were not to require ${ids}${why}${but}.${own}`,
          `Not to be required in the searches ${were(conceptIds.length)} ${ids}${why}${but}.${own}`,
        ],
      )
    }
    return say(
      [
        `We did not require ${ids} in the searches${why}.${own}`,
        `The searches did not require ${ids}${why}.${own}`,
      ],
      [
        `The searches did not require ${ids}${why}.${own}`,
        `Not required in the searches ${were(conceptIds.length)} ${ids}${why}.${own}`,
      ],
    )
  },
}
