import type { FoundOf } from '../../sayings'
import { databases, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Dated = FoundOf<'searched-on'>
const spell = (ids: readonly string[], n: number): string => fact('searched.spell', `${n}/${ids.join('+')}`)

const countWords = ({ counted, all, sourceIds }: Dated): string => {
  if (!counted) return ''
  if (all) return '; the counts given here are those of the last search'
  return `; ${sourceIds.length === 1 ? 'its' : 'their'} counts given here are those of the last search`
}

const on = (found: Dated): string[] => {
  const { sourceIds: ids, spells, all, total, revised } = found
  const when = spells
    .map((n, i) =>
      i
        ? `again${i === spells.length - 1 && revised ? ', with revised strategies,' : ''} ${spell(ids, n)}`
        : spell(ids, n),
    )
    .join(' and ')
  const subject =
    all && total > 1 ? (total === 2 ? 'Both' : 'All') : total === 1 ? 'The search' : databases(ids)
  const verb = total === 1 ? 'was run' : `${were(ids.length)} searched`
  return [
    `${subject} ${verb} ${when}${countWords(found)}.`,
    `Searching took place ${when}${all ? '' : ` in ${databases(ids)}`}${countWords(found)}.`,
  ]
}

export const searchedOn: Words<Dated> = {
  says: on,
  short: (found) => on({ ...found, counted: false }),
}

const again: Words<FoundOf<'searched-again'>>['says'] = (found, say) => {
  const { sourceIds: ids, spells, all, total, revised } = found
  const what = revised ? ', with revised strategies,' : ''
  const when = spell(ids, spells[0]!)
  const count = countWords({ ...found, all: true })
  const further = `A further search was run${what} ${when}${all ? '' : ` in ${databases(ids)}`}${count}.`
  return say(
    [
      `We searched ${all ? (total === 1 ? 'it' : total === 2 ? 'both of them' : 'all of them') : databases(ids)} again${what} ${when}${count}.`,
      further,
    ],
    [
      `${all && total > 1 ? (total === 2 ? 'Both' : 'All') : databases(ids)} ${were(ids.length)} searched again${what} ${when}${count}.`,
      further,
    ],
  )
}

export const searchedAgain: Words<FoundOf<'searched-again'>> = {
  says: again,
  short: (found, say, context) => again({ ...found, counted: false }, say, context),
}
