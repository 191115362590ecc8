import type { FoundOf } from '../../sayings'
import { are, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Found = FoundOf<'known-found'>

/** Why known items were not found, as far as their own years tell; empty where these tell nothing. */
function missedWords({ found, of, outside }: Found): string {
  if (!outside) return ''
  const missed = of - found - outside
  const years = `from ${outside === 1 ? 'a year' : 'years'} that the limits leave out`
  if (of === 1) return `; it is ${years}`
  if (!missed) {
    const others = !found ? 'all' : outside === 1 ? 'the other one' : `the other ${fact('known.outside')}`
    return `, and ${others} ${are(outside)} ${years}`
  }
  return `, ${fact('known.outside')} ${are(outside)} ${years}, and ${fact('known.missed')} ${were(missed)} not found`
}

/** Behind how many were named: how many were found. `all`: of those too that were named before. */
function foundWords(told: Found | undefined, all: boolean): string {
  if (!told) return ''
  const { found, of } = told
  const why = missedWords(told)
  const among = 'among the records brought in'
  if (of === 1) return `; it is ${found ? '' : 'not '}${among}${why}`
  const them = all ? 'taken together, ' : ''
  const of_ = all ? '' : ' of them'
  if (!found) return `; ${them}none${of_} is ${among}${why}`
  if (found === of) return `; ${all ? 'all known items' : 'all of them'} are ${among}`
  return `; ${them}${fact('known.found')}${of_} ${are(found)} ${among}${why}`
}

export const knownNamed: Words<FoundOf<'known-named'>> = {
  says: ({ when, count, found }) => {
    const result = foundWords(found, false)
    const that = `that ${were(count)} named`
    if (when === 'before')
      return [
        `${fact('^known.before')} ${that} before searching served as a test${result}.`,
        `As a test served ${fact('known.before')} ${that} before searching${result}.`,
      ]
    return when === 'while'
      ? [
          `${fact('^known')} ${that} while searching served as a test${result}.`,
          `As a test served ${fact('known')} ${that} while searching${result}.`,
        ]
      : [
          `${fact('^known')} ${were(count)} named to test the searches${result}.`,
          `To test the searches, ${fact('known')} ${were(count)} named${result}.`,
        ]
  },
}

export const knownAdded: Words<FoundOf<'known-added'>> = {
  says: ({ count, found }) => {
    const result = foundWords(found, true)
    return [
      `Another ${fact('known.later')} ${were(count)} added later${result}.`,
      `Later, another ${fact('known.later')} ${were(count)} added${result}.`,
    ]
  },
}

export const knownFound: Words<Found> = {
  says: (told) => {
    const { found, of } = told
    const why = missedWords(told)
    if (of === 1)
      return [
        `The one known item was ${found ? '' : 'not '}among them${why}.`,
        `Among them the one known item was ${found ? 'found' : 'not found'}${why}.`,
      ]
    if (found === of) return ['All known items were among them.', 'Among them were all known items.']
    if (!found)
      return [
        `None of the known items was among them${why}.`,
        `Among them was none of the known items${why}.`,
      ]
    return [
      `Of the known items, ${fact('known.found')} ${were(found)} among them${why}.`,
      `Among them ${were(found)} ${fact('known.found')} of the known items${why}.`,
    ]
  },
}
