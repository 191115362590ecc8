'use client'
import { useState } from 'react'
import { inlinesOf, PASSAGES, type Paragraph } from '@/core/account'
import { useAccount } from '@/store/use-account'
import { useWhereabouts } from '@/store/whereabouts'
import { useNarrow } from '@/ui/use-narrow'
import { AccountText } from './account-text'
import { FlowFigure } from './flow-figure'

const WHAT_COMES: Record<string, string> = {
  question: 'Write the question, and its sentence appears here.',
  terms: 'As terms come into the grid, the sentences that name them appear here.',
  searches: 'Run the lines, and what was searched, when and with how many hits is written here.',
  records: 'Bring records in, and their numbers are written here.',
  selection: 'Rule the first work, and the count of what was read and kept begins here.',
}

/** The paragraphs with those about the open sheet before the others. */
function sheetFirst(content: readonly Paragraph[], sourceId: string | undefined): Paragraph[] {
  const about = (p: Paragraph): boolean =>
    [...inlinesOf(p)].some((n) => n.type === 'fact' && n.attrs.ref.split(/[:/]/).includes(sourceId ?? ''))
  return [...content.filter(about), ...content.filter((p) => !about(p))]
}

/** The sentences that the stage on screen feeds, as they read now. */
export function AccountPane({ stage }: { stage: string }) {
  const { context, passages } = useAccount()
  // On a narrow page the sentences are one press away, not in the way.
  const narrow = useNarrow()
  const [chosen, setFolded] = useState<boolean>()
  const folded = chosen ?? narrow
  const sheet = useWhereabouts((s) => s.sheet)
  if (folded)
    return (
      <aside className="folded" aria-label="What this writes">
        <button
          className="plain"
          style={{ padding: 8 }}
          onClick={() => setFolded(false)}
          aria-label="Show what this writes"
        >
          ‹
        </button>
      </aside>
    )
  const ids = PASSAGES.filter((p) => p.stage === stage).map((p) => p.id as string)
  const shown = passages.filter((p) => p.content.length && (stage === 'methods' || ids.includes(p.id)))
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
          <p className="sub" style={{ marginTop: 6 }}>
            Underlined words are facts: they come from the record and change with it. Point at one to see
            where from; they cannot be typed over.
          </p>
        ) : shown.length ? (
          <div className="account">
            {shown.map((p) => (
              <AccountText
                key={p.id}
                content={stage === 'searches' && !p.edited ? sheetFirst(p.content, sheet) : p.content}
                context={context}
              />
            ))}
          </div>
        ) : (
          <p className="empty">{WHAT_COMES[stage]}</p>
        )}
        {stage === 'methods' && <FlowFigure context={context} />}
      </div>
    </aside>
  )
}
