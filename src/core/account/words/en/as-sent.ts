import { listed } from '../../../base'
import { verbatim } from '../../document'
import type { FoundOf } from '../../sayings'
import { database, databases } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

export const noNearness: Words<FoundOf<'no-nearness'>> = {
  says: ({ sourceIds: ids }) => [
    `${databases(ids)} ${ids.length === 1 ? 'knows' : 'know'} no nearness; AND stood in its place there.`,
    `Where nearness is not known (${databases(ids)}), AND stood in its place.`,
  ],
}

export const leftOut: Words<FoundOf<'left-out'>> = {
  says: ({ sourceIds: ids }, say) => {
    const what = listed(ids.map((id) => `records that match ${fact('words.leftOut', id)} in ${database(id)}`))
    return say(
      [`We left out, with NOT, ${what}.`, `With NOT we left out ${what}.`],
      [`With NOT, ${what} were left out.`, `Left out with NOT were ${what}.`],
    )
  },
}

export const withoutQuery: Words<FoundOf<'without-query'>> = {
  says: ({ sourceId, lineId, deed }, say) => {
    const done = verbatim(deed.trim().replace(/\.$/, ''))
    const gave = fact('hits.line', `${sourceId}/${lineId}`)
    const when = fact('line.day', `${sourceId}/${lineId}`)
    return say(
      [
        `Without a query we ${done} (${when}); this gave ${gave}.`,
        `In ${database(sourceId)} we ${done}, without a query (${when}); this gave ${gave}.`,
      ],
      [
        `Without a query, this was done (${when}): ${done}; it gave ${gave}.`,
        `In ${database(sourceId)} this was done without a query (${when}): ${done}; it gave ${gave}.`,
      ],
    )
  },
}

export const takenOver: Words<FoundOf<'taken-over'>> = {
  says: ({ what, name, changed, sourceIds }) => {
    const how = changed ? `, changed in this: ${verbatim(changed)}` : ', unchanged'
    const of = what === 'filter' ? 'a filter' : 'an earlier strategy'
    return [
      `In ${databases(sourceIds)}, ${of} was taken over: ${verbatim(name)}${how}.`,
      `Taken over in ${databases(sourceIds)} was ${of}: ${verbatim(name)}${how}.`,
    ]
  },
}
