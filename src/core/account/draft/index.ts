import { PARTS, type Paragraph, type Passage } from '../document'
import type { FactContext } from '../facts'
import { compose, nameOf, paragraphsOf, partsInOrder, type Telling } from './compose'
import type { Grouped } from './grouped'

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
          about: told.on,
          content,
          tells: nameOf(told),
          of: sourcesOf(told),
        })),
      },
    ]
  })
}

/** The sources that a sentence is of. */
const sourcesOf = (told: Grouped): readonly string[] => [
  ...('sourceId' in told ? [told.sourceId] : []),
  ...('sourceIds' in told ? told.sourceIds : []),
  ...(told.tells === 'other ways' ? told.ways.map((w) => w.sourceId) : []),
  ...(told.tells === 'saying' && told.of !== undefined ? [told.of] : []),
]

export { compose, groupAll, paragraphsOf, type Telling, type ToldPart, type ToldSentence } from './compose'
export type { Grouped, GroupedOf } from './grouped'
