import { PARTS, text, type Passage } from '../document'
import { blocksOf, cell, type Block, type DocumentTree } from '../documents/tree'
import { table1 } from '../documents/table-1'
import { draftAccount, tellingOf, type Telling } from '../draft'
import { departuresAppendix } from './departures'
import { criteriaAppendix, limitsAppendix } from './plan'
import { reportingAppendix } from './reporting'
import { searchReviewAppendix } from './search-review'
import { strategiesAppendix } from './strategies'
import { termsAppendix } from './terms'
import { excludedAppendix, flowAppendix, includedAppendix } from './works'
import type { AppendixContext } from './context'

export { STRATEGY_HEAD } from './strategies'
export type { AppendixContext, Referenced } from './context'
export { withWorks } from './with-works'
export { referencedWorks, referenceInlines } from './referenced'
export { aboutWords, elementWords, outcomeWords, VERDICT_WORDS } from './search-review'
export { CHECKLISTS, notApplicable, openItems, reportingItems } from './reporting'
export type { ReportingItem } from './reporting-item'

/** Appendices by their letters; one that has nothing to hold is left out, and the others keep their letters. */
const APPENDICES: readonly { letter: string; title: string; blocks: (c: AppendixContext) => Block[] }[] = [
  { letter: 'A', title: 'Terms', blocks: termsAppendix },
  { letter: 'B', title: 'Strategies as they were run', blocks: strategiesAppendix },
  { letter: 'C', title: 'Limits', blocks: limitsAppendix },
  { letter: 'D', title: 'Questions asked of each work', blocks: criteriaAppendix },
  { letter: 'E', title: 'Works set aside on their full text', blocks: excludedAppendix },
  { letter: 'F', title: 'Works included', blocks: includedAppendix },
  { letter: 'G', title: 'Flow', blocks: flowAppendix },
  { letter: 'H', title: 'Reporting items', blocks: reportingAppendix },
  { letter: 'I', title: 'Review of the searches', blocks: searchReviewAppendix },
  { letter: 'J', title: 'Amendments of, and departures from, the protocol', blocks: departuresAppendix },
]

/** The section with its table and appendices as one document, which every writer can write. */
export function sectionDocument(
  context: AppendixContext,
  telling: Telling = tellingOf(context),
  passages: readonly Passage[] = draftAccount(context, telling),
): DocumentTree {
  const table = table1(context)
  const section = passages.flatMap(({ id, content }): Block[] => [
    { kind: 'heading', level: 1, content: cell(PARTS[id][context.review.account.voice]) },
    ...blocksOf(content),
    ...(table && (id === 'where' || id === 'searched') ? [table] : []),
  ])
  const appendices = APPENDICES.flatMap(({ letter, title, blocks }): Block[] => {
    const own = blocks(context)
    return own.length
      ? [{ kind: 'heading', level: 1, content: [text(`Appendix ${letter}. ${title}`)], page: true }, ...own]
      : []
  })
  return { title: context.review.title || 'Search and selection', blocks: [...section, ...appendices] }
}
