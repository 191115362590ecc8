import { plural } from '../../base'
import { nextSearch } from '../sayings/search-again'
import { takenOut, type TakenOut } from '../taken-out'
import { dateWords, searchedWords } from '../words'
import { MISSING, type Reader } from './fact'

const gone =
  (words: (t: TakenOut) => string): Reader =>
  (c, id) => {
    const found = takenOut(c).find((t) => t.id === id)
    const text = found && words(found)
    return {
      text: text || MISSING,
      missing: !text,
      stage: 'question',
      from: 'what was run in a source that was taken out of the plan',
    }
  }

/** Facts of sources that were searched and taken out of the plan, and of when searches are to be run again. */
export const SOURCE_GONE = {
  'gone.name': gone((t) => t.name || 'one more source'),
  'gone.days': gone((t) => searchedWords(t.days)),
  'gone.on': gone((t) => t.on && `on ${dateWords(t.on)}`),
  'gone.records': gone((t) => plural(t.records, 'record')),
  'gone.stayed': gone((t) => plural(t.stayed, 'record')),
  'again.next': ({ review }, id) => {
    const source = review.sources.find((s) => s.id === id)
    const next = source && nextSearch(review, source)
    return {
      text: next ? dateWords(next) : MISSING,
      missing: !next,
      stage: 'searches',
      from: 'when the search is to be run again',
    }
  },
} satisfies Record<string, Reader>
