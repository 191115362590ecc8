import { asTold } from '../as-run'
import { PARTS, text, type Passage } from '../document'
import { nameOfPerson } from '../../review'
import {
  blocksOf,
  cell,
  targetsOf,
  withCells,
  withReferences,
  wordsOfCell,
  type Block,
  type DocumentTree,
} from '../documents/tree'
import { resolveFact, type FactContext } from '../facts'
import { table1 } from '../documents/table-1'
import { draftAccount, tellingOf, type Telling } from '../draft'
import { departuresAppendix } from './departures'
import { criteriaAppendix, limitsAppendix } from './plan'
import { reportingAppendix } from './reporting'
import { searchReviewAppendix } from './search-review'
import { strategiesAppendix, strategiesBySource } from './strategies'
import { waysTable } from './ways'
import { termsAppendix } from './terms'
import { excludedAppendix, flowAppendix, includedAppendix } from './works'
import type { AppendixContext } from './context'

export { STRATEGY_HEAD } from './strategies'
export type { AppendixContext, Referenced } from './context'
export { withWorks } from './with-works'
export { noticeWords, referencedWorks, referenceInlines } from './referenced'
export { aboutWords, elementWords, lookWords, outcomeWords, VERDICT_WORDS } from './search-review'
export { CHECKLISTS, checklistTables, isOpen, notApplicable, openItems, reportingItems } from './reporting'
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
  const section = sectionBlocks(context, passages)
  const told = { ...asTold(context), passages }
  const appendices = APPENDICES.flatMap(({ letter, title, blocks }): Block[] => {
    const own = blocks(told)
    return own.length
      ? [{ kind: 'heading', level: 1, content: [text(`Appendix ${letter}. ${title}`)], page: true }, ...own]
      : []
  })
  const title = context.review.title || 'Search and selection'
  const blocks = [...section, ...appendices]
  return commentsNamed(withReferences({ title, ...writtenBy(context), blocks }), context)
}

/** Who worked on a review, by deeds and rulings, as its authors, and the day of its last entry; nothing where neither is known. */
function writtenBy({ review, entries, figures }: FactContext): Pick<DocumentTree, 'authors' | 'day'> {
  const ids = new Set([
    ...(entries ?? []).map((e) => e.by),
    ...figures.readers.broad,
    ...figures.readers.close,
  ])
  const named = review.people.filter((p) => ids.has(p.id)).map((p) => nameOfPerson(review, p.id))
  const authors = [...new Set(named.filter(Boolean))]
  const day = entries?.at(-1)?.at.slice(0, 10)
  return { ...(authors.length ? { authors } : {}), ...(day === undefined ? {} : { day }) }
}

/**
 * What was searched, for whoever looks it over and as a supplement by itself: the table of sources, and each strategy as it
 * was run, a page for a source.
 */
export function recordOfSearches(context: AppendixContext): DocumentTree {
  const table = table1(context)
  const title = `Record of searches${context.review.title ? `: ${context.review.title}` : ''}`
  const told = asTold(context)
  const strategies = strategiesBySource(told).flatMap(({ name, blocks }): Block[] => [
    { kind: 'heading', level: 2, content: cell(name), page: true },
    ...blocks,
  ])
  return { title, short: true, blocks: [...(table ? [table] : []), ...strategies, ...waysTable(told.review)] }
}

function sectionBlocks(context: FactContext, passages: readonly Passage[]): Block[] {
  const table = table1(context)
  return passages.flatMap(({ id, content }): Block[] => [
    { kind: 'heading', level: 1, content: cell(PARTS[id][context.review.account.voice]) },
    ...blocksOf(content, (ref) => resolveFact(context, ref).text),
    ...(table && (id === 'where' || id === 'searched') ? [table] : []),
  ])
}

/** Who says something of the text is a person of the review: here they get their name. */
const commentsNamed = (tree: DocumentTree, { review }: FactContext): DocumentTree =>
  withCells(tree, (content) =>
    content.map((node) =>
      node.type === 'text' && node.marks
        ? {
            ...node,
            marks: node.marks.map((m) =>
              m.type === 'comment'
                ? { ...m, attrs: { ...m.attrs, by: nameOfPerson(review, m.attrs.by) } }
                : m,
            ),
          }
        : node,
    ),
  )

/** What the section can refer to as it stands: by what it is referred to, what it is called, and what it holds. */
export interface Target {
  to: string
  label: string
  title: string
}
export function targetsIn(context: FactContext, passages: readonly Passage[]): Target[] {
  const blocks = sectionBlocks(context, passages)
  const labels = targetsOf({ title: '', blocks })
  const { figures } = context
  // These are filled from records, which are not read only to know whether there are any.
  const some: Record<string, boolean> = {
    E: figures.close.out > 0,
    F: figures.flow.included > 0,
    G: figures.works > 0,
  }
  return [
    ...blocks.flatMap((b): Target[] => {
      const to = b.kind === 'table' && b.id !== undefined ? `table:${b.id}` : undefined
      const label = to === undefined ? undefined : labels.get(to)
      return to !== undefined && label && b.kind === 'table'
        ? [{ to, label, title: wordsOfCell(b.caption) }]
        : []
    }),
    ...(some.G ? [{ to: 'figure:flow', label: 'Figure 1', title: 'Flow' }] : []),
    ...APPENDICES.flatMap(({ letter, title, blocks: of }): Target[] =>
      (some[letter] ?? of(asTold(context)).length > 0)
        ? [{ to: `appendix:${letter}`, label: `Appendix ${letter}`, title }]
        : [],
    ),
  ]
}
