import { PARTS, type Paragraph, type Passage } from '../document'
import type { FactContext } from '../facts'
import type { Review } from '../../review'
import { compose, paragraphsOf, partsInOrder, type Telling, type Told } from './compose'

/** How a review tells its account, unless something else is asked for. */
export const tellingOf = ({ review: { account } }: FactContext): Telling => ({
  order: account.order ?? 'theme',
  length: account.length ?? 'full',
})

/**
 * The account as the record has it: what there is to say is found, put together and ordered, and said in the voice that
 * was chosen. A part that the person has edited stays as it is; what would be drafted now stands beside it. A part of
 * which nothing is known yet is left out.
 */
export function draftAccount(context: FactContext, telling: Telling = tellingOf(context)): Passage[] {
  const { account } = context.review
  const drafted = new Map(compose(context, telling).map((p) => [p.id, p.sentences]))
  return partsInOrder(telling).flatMap((id): Passage[] => {
    const sentences = drafted.get(id) ?? []
    const edited = account.edited[id]
    if (!edited && !sentences.length) return []
    const draft = paragraphsOf(sentences)
    return [
      {
        id,
        title: PARTS[id][account.voice],
        edited: edited !== undefined,
        content: edited ? (edited as unknown as Paragraph[]) : draft,
        draft,
        drafted: sentences.map(({ told, stage, content }) => ({
          stage,
          content,
          tells: told.saying,
          of: sourcesOf(told, context.review),
        })),
      },
    ]
  })
}

/** The sources that a sentence is of: what it is told of, and what its words name. */
function sourcesOf({ of, found }: Told, { sources }: Review): readonly string[] {
  const { sourceId, sourceIds = [] } = (found ?? {}) as { sourceId?: string; sourceIds?: string[] }
  const named = new Set([
    ...(of?.split(/[+/]/) ?? []),
    ...(sourceId === undefined ? [] : [sourceId]),
    ...sourceIds,
  ])
  return sources.flatMap((s) => (named.has(s.id) ? [s.id] : []))
}

export {
  compose,
  groupAll,
  paragraphsOf,
  type Telling,
  type Told,
  type ToldPart,
  type ToldSentence,
} from './compose'
