'use client'
import { memo, useState } from 'react'
import { rowOf, TABLE_1_HEAD, type FactContext, type Paragraph, type Passage } from '@/core/account'
import { useAccountSoon } from '@/page/use-account'
import { useWhereabouts } from '@/page/whereabouts'
import { useNarrow } from '@/ui/use-narrow'
import { AccountText, InlineTexts } from '../shared/account-text'
import { CommentsMargin } from './comments-margin'
import { AdviceMargin } from './advice-margin'

const WHAT_COMES: Record<string, string> = {
  question: 'Write the question, and its sentence appears here.',
  terms: 'As terms come into the grid, the sentences that name them appear here.',
  searches: 'Run the lines, and what was searched, when and with how many hits is written here.',
  records: 'Bring records in, and their numbers are written here.',
  selection: 'Rule the first work, and the count of what was read and kept begins here.',
}

/** What a stage feeds of a part, as one paragraph; what concerns the open sheet first. */
function fedBy(stage: string, { drafted }: Passage, sourceId: string | undefined): Paragraph[] {
  const own = drafted.filter((s) => s.stage === stage)
  const about = (s: Passage['drafted'][number]): boolean => sourceId !== undefined && s.of.includes(sourceId)
  const first = sourceId ? own.filter(about) : []
  const content = [...first, ...own.filter((s) => !first.includes(s))].flatMap((s, n) => [
    ...(n ? [{ type: 'text' as const, text: ' ' }] : []),
    ...s.content,
  ])
  return content.length ? [{ type: 'paragraph', content }] : []
}

/** Where one reads works, what becomes of works is told first, and other ways of finding them after it. */
const begun = (stage: string, passages: readonly Passage[]): Passage[] => {
  const later = (p: Passage): boolean => stage === 'selection' && !READING.has(p.id)
  return [...passages.filter((p) => !later(p)), ...passages.filter(later)]
}
const READING: ReadonlySet<string> = new Set(['screened', 'judged'])

/** What Table 1 of the section has of the open sheet: its counts, each leading to its line. */
function SheetRow({ context, sheet }: { context: FactContext; sheet: string | undefined }) {
  const { sources } = context.review
  const databases = sources.filter((s) => s.kind === 'database')
  const source = databases.find((s) => s.id === sheet) ?? databases[0]
  if (!source || !context.figures.searched.includes(source.id)) return null
  const cells = rowOf(context, source)
  return (
    <dl className="sheet-row-facts" aria-label="In Table 1">
      {TABLE_1_HEAD.map((head, n) => (
        <div key={head}>
          <dt>{head}</dt>
          <dd>
            <InlineTexts content={cells[n] ?? []} context={context} />
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** The sentences that the stage on screen feeds, as they read now. */
export function AccountPane({ stage }: { stage: string }) {
  return <Written stage={stage} {...useAccountSoon()} />
}

/** Drawn again only where what is written is another. */
const Written = memo(function Written({
  stage,
  context,
  passages,
}: {
  stage: string
  context: FactContext
  passages: readonly Passage[]
}) {
  // On a narrow page the sentences are one press away, not in the way.
  const narrow = useNarrow()
  const [chosen, setFolded] = useState<boolean>()
  const folded = chosen ?? narrow
  const sheet = useWhereabouts((s) => s.sheet)
  if (folded)
    return (
      <aside className="folded" aria-label="What this writes">
        <button className="plain unfold" onClick={() => setFolded(false)} aria-label="Show what this writes">
          ‹
        </button>
      </aside>
    )
  const shown = begun(stage, passages).flatMap((p) =>
    fedBy(stage, p, stage === 'searches' ? sheet : undefined),
  )
  return (
    <aside aria-label="What this writes">
      <div className="pane">
        <button
          className="plain fold"
          onClick={() => setFolded(true)}
          aria-label="Fold away what this writes"
        >
          ›
        </button>
        <h2>{stage === 'methods' ? 'Bound to the record' : 'What this writes'}</h2>
        {stage === 'methods' ? (
          <p className="sub above-2">
            Underlined words are facts: they come from the record and change with it. Point at one to see
            where from; they cannot be typed over.
          </p>
        ) : shown.length ? (
          <div className="account">
            {stage === 'searches' && <SheetRow context={context} sheet={sheet} />}
            <AccountText content={shown} context={context} />
          </div>
        ) : (
          <p className="empty">{WHAT_COMES[stage]}</p>
        )}
        {stage === 'methods' && <CommentsMargin review={context.review} passages={passages} />}
        {stage === 'methods' && <AdviceMargin context={context} passages={passages} />}
      </div>
    </aside>
  )
})
