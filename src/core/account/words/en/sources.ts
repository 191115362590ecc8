import type { FoundOf } from '../../sayings'
import { are, database, databases } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Searched = FoundOf<'searched'>
const searchedWith =
  (names: boolean): Words<Searched>['says'] =>
  ({ sourceIds: ids }, say) => {
    if (ids.length === 1)
      return say(
        [`We searched one database, ${databases(ids)} ({@table:sources}).`],
        [`One database was searched, ${databases(ids)} ({@table:sources}).`],
      )
    const where = ` ({@table:sources})${names ? `: ${databases(ids)}` : ''}`
    return say(
      [
        `We searched ${fact('databases.searched')}${where}.`,
        `In all, we searched ${fact('databases.searched')}${where}.`,
      ],
      [
        `The search covered ${fact('databases.searched')}${where}.`,
        `In all, ${fact('databases.searched')} were searched${where}.`,
      ],
    )
  }

/** In the short form the table has their names. */
export const searched: Words<Searched> = { says: searchedWith(true), short: searchedWith(false) }

export const toSearch: Words<FoundOf<'to-search'>> = {
  says: ({ sourceIds: ids }, say) =>
    ids.length === 1
      ? say(
          [`We plan to search one database, ${databases(ids)}.`],
          [`One database is to be searched, ${databases(ids)}.`],
        )
      : say(
          [`We plan to search ${fact('databases')}: ${databases(ids)}.`],
          [
            `${fact('^databases')} are to be searched: ${databases(ids)}.`,
            `The search is to cover ${fact('databases')}: ${databases(ids)}.`,
          ],
        ),
}

export const toSearchBesides: Words<FoundOf<'to-search-besides'>> = {
  says: ({ sourceIds: ids }, say) =>
    say(
      [
        `We plan to search ${databases(ids)} as well, which has not been done yet.`,
        `Still to be searched ${are(ids.length)} ${databases(ids)}.`,
      ],
      [
        `Still to be searched ${are(ids.length)} ${databases(ids)}.`,
        `${databases(ids)} ${are(ids.length)} still to be searched.`,
      ],
    ),
}

export const together: Words<FoundOf<'together'>> = {
  says: ({ sourceId, platform }) => {
    const source = database(sourceId)
    const through = platform ? `, through ${fact('source.platform', sourceId)}` : ''
    const others = fact('source.together', sourceId)
    return [
      `${source} was searched at once with ${others}${through}; its counts are of all of them.`,
      `Together with ${source}, one search reached ${others}${through}; the counts are of all of them.`,
    ]
  },
}

export const indexed: Words<FoundOf<'indexed'>> = {
  says: ({ sourceIds: ids, of }) => {
    if (of === 1)
      return ['Its records are indexed with a thesaurus of its own.', 'It indexes records with a thesaurus.']
    if (ids.length === of)
      return [
        `${of === 2 ? 'Both' : 'All of them'} index their records with a thesaurus.`,
        'Each indexes its records with a thesaurus of its own.',
      ]
    return ids.length === 1
      ? [
          `Of these, ${databases(ids)} indexes its records with a thesaurus.`,
          `One of them, ${databases(ids)}, indexes its records with a thesaurus.`,
        ]
      : [
          `${fact('^databases.indexed')} of them, ${databases(ids)}, index their records with a thesaurus.`,
          `Of these, ${databases(ids)} index their records with a thesaurus.`,
        ]
  },
}
