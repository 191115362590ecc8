import { checklistTables, wordsOfCell, type AppendixContext } from '../account'
import { canonicalJson } from '../base'
import { searchOrder } from '../figures'
import type { Profile } from '../profile'
import { csvText, drawOverlap, overlapOf, overlapTable } from '../records'
import type { HandedFrom } from './from'
import { plainName } from './plain-name'

/** A file of words by its path, and what it is. */
export type WordsFile = [path: string, about: string, content: () => string]

/** What each source gave, as a table and, as `svg`, drawn; nothing where works came from one source or none. */
export function overlapFiles({
  review,
  works,
  short,
}: Pick<HandedFrom, 'review' | 'works' | 'short'>): { svg: string; files: WordsFile[] } | undefined {
  const found = overlapOf(works.works, searchOrder(review))
  if (found.sources.filter((s) => s.works).length < 2) return undefined
  const source = (id: string) => review.sources.find((s) => s.id === id)
  return {
    svg: drawOverlap(found, (id) => (source(id) ? short(source(id)!) : id)),
    files: [
      [
        'records/overlap.csv',
        'what each source gave, and which works several gave',
        () => csvText(overlapTable(found, (id) => source(id)?.name ?? id)),
      ],
    ],
  }
}

/** The reporting items, each with what closes it. */
export const checklistFiles = (context: AppendixContext): WordsFile[] =>
  checklistTables(context).map(({ id, name, head, rows }) => [
    `checklists/${id}.csv`,
    `the items of ${name}, each with what in the record closes it`,
    () => csvText([head, ...rows.map((r) => r.map(wordsOfCell))]),
  ])

/** How each database of the plan speaks, and the vocabularies of the invented ones; of others they are evidence already. */
export function databaseFiles({
  review,
  source,
  vocabularies,
}: Pick<HandedFrom, 'review' | 'source' | 'vocabularies'>): WordsFile[] {
  const profiles = new Map<string, Profile>()
  for (const profile of review.profiles) profiles.set(profile.id, profile)
  for (const { id } of review.sources) {
    const profile = source(id)?.profile
    if (profile) profiles.set(profile.id, profile)
  }
  return [
    ...[...profiles.values()].map((profile): WordsFile => [
      `profiles/${plainName(profile.id)}.json`,
      `how ${profile.name} speaks`,
      () => `${canonicalJson(profile)}\n`,
    ]),
    ...vocabularies.map(({ title, file, turtle }): WordsFile => [
      `vocabularies/${file}`,
      `${title}, as SKOS`,
      () => turtle,
    ]),
  ]
}
