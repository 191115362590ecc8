import { listed } from '../../base'
import type { Source } from '../../review'
import type { ClaimOf } from '../claims'
import { because, database, type Say } from './say'

const names = (ids: readonly string[]): string => listed(ids.map(database))

/** Where was searched, and where it is only planned; how a source was reached, why it was taken, and when. */
export const SOURCES = {
  SourcesSearched: ({ sourceIds }: ClaimOf<'SourcesSearched'>, say: Say) =>
    sourceIds.length === 1
      ? say(
          `We searched one database, ${names(sourceIds)}.`,
          `One database was searched, ${names(sourceIds)}.`,
        )
      : say(
          `We searched {databases.searched}: ${names(sourceIds)}.`,
          `The search covered {databases.searched}: ${names(sourceIds)}.`,
        ),
  /** A plan must not read as a deed. */
  SourcesPlanned: ({ sourceIds, besides }: ClaimOf<'SourcesPlanned'>, say: Say) => {
    if (besides)
      return say(
        `We plan to search ${names(sourceIds)} as well, which has not been done yet.`,
        `${names(sourceIds)} ${sourceIds.length === 1 ? 'is' : 'are'} still to be searched.`,
      )
    return sourceIds.length === 1
      ? say(
          `We plan to search one database, ${names(sourceIds)}.`,
          `One database is to be searched, ${names(sourceIds)}.`,
        )
      : say(
          `We plan to search {databases}: ${names(sourceIds)}.`,
          `The search is to cover {databases}: ${names(sourceIds)}.`,
        )
  },
  SourcesIndexed: ({ sourceIds }: ClaimOf<'SourcesIndexed'>) =>
    `${names(sourceIds)} ${sourceIds.length === 1 ? 'indexes records with headings of a thesaurus of its' : 'index records with headings of thesauri of their'} own.`,
  SourceReached: ({ sourceId, platform, coverage }: ClaimOf<'SourceReached'>) => {
    const where = [
      ...(platform ? [`is reached through {source.platform:${sourceId}}`] : []),
      ...(coverage ? [`covers {source.coverage:${sourceId}}`] : []),
    ]
    return `${database(sourceId)} ${listed(where)}.`
  },
  SourceChosen: ({ sourceId, reason }: ClaimOf<'SourceChosen'>) =>
    `${database(sourceId)} was chosen${because(reason)}.`,
  SearchedOn: ({ sourceId }: ClaimOf<'SearchedOn'>) =>
    `${database(sourceId)} was searched {source.searched:${sourceId}}.`,
  OtherSource: ({ sourceId, kind, done, reason }: ClaimOf<'OtherSource'>, say: Say) => {
    const why = because(reason)
    const source = database(sourceId)
    const verb = DEED[kind as Exclude<Source['kind'], 'database'>]
    return done
      ? say(
          `Beyond databases we ${verb.done} ${source}${why}.`,
          `Beyond databases, records came from ${source}${why}.`,
        )
      : say(
          `Beyond databases we plan to ${verb.plan} ${source}${why}.`,
          `Beyond databases, it is planned that ${source} be ${verb.passive ?? verb.done}${why}.`,
        )
  },
}

/** What is done with a source that is no database: people are asked, lists are read, websites are searched. */
const DEED: Record<Exclude<Source['kind'], 'database'>, { plan: string; done: string; passive?: string }> = {
  'reference lists': { plan: 'read', done: 'read' },
  'citing papers': { plan: 'follow', done: 'followed' },
  people: { plan: 'ask', done: 'asked' },
  web: { plan: 'search', done: 'searched' },
  catalogue: { plan: 'search', done: 'searched' },
  'own collection': { plan: 'go through', done: 'went through', passive: 'gone through' },
  'hand search': { plan: 'go through', done: 'went through', passive: 'gone through' },
  register: { plan: 'search', done: 'searched' },
}
