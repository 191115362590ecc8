import { listed } from '../../base'
import type { ClaimOf } from '../claims'
import { concept, database, type Say } from './say'

/** The terms of the plan by concept, what a vocabulary has nothing for, and what was tried and dropped. */
export const TERMS = {
  TermsGathered: (_: unknown, say: Say) =>
    say(
      'We gathered search terms for the concepts, {terms.count} in all.',
      'Search terms were gathered for the concepts, {terms.count} in all.',
    ),
  TermsOfConcept: ({ conceptId, words, names, headings }: ClaimOf<'TermsOfConcept'>, say: Say) => {
    const said = [
      ...(words ? [`the ${words === 1 ? 'word' : 'words'} {terms.words:${conceptId}}`] : []),
      ...headings.map(
        ({ sourceId, count }) =>
          `the ${count === 1 ? 'heading' : 'headings'} {terms.headings:${conceptId}/${sourceId}} of ${database(sourceId)}`,
      ),
      ...(names ? [`the ${names === 1 ? 'name' : 'names'} {terms.names:${conceptId}}`] : []),
    ]
    const were = said.length + words + names > 2 || headings.length > 1 ? 'were' : 'was'
    return say(
      `For ${concept(conceptId)} we took ${listed(said)}.`,
      `For ${concept(conceptId)}, ${listed(said)} ${were} taken.`,
    )
  },
  NoHeadingFor: ({ gapId, sourceId }: ClaimOf<'NoHeadingFor'>) =>
    `The vocabulary of ${database(sourceId)} has no heading for {gap.about:${gapId}}.`,
  TermsDropped: ({ count, reasoned }: ClaimOf<'TermsDropped'>, say: Say) => {
    const kept = reasoned ? '; the reasons are kept with the terms' : ''
    return say(
      `We tried and dropped {terms.tried} more${kept}.`,
      `Another {terms.tried} ${count === 1 ? 'was' : 'were'} tried and dropped${kept}.`,
    )
  },
}
