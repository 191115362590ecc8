'use client'
import dynamic from 'next/dynamic'
import { Fragment, useEffect } from 'react'
import { targetsIn, type FactContext, type Passage } from '@/core/account'
import { useActions } from '@/page/actions'
import { later } from '@/ui/later'
import { KeyHint } from '../shared/key-hint'
import { StageLink } from '../shared/stage-link'
import { keepTargets } from './editor/targets'
import { SectionTelling } from './section-telling'
import { SourcesTable } from './sources-table'
import { useSectionFiles } from './use-section-files'

const EarlierTexts = later(() => import('./earlier-texts').then((m) => m.EarlierTexts), { beside: true })
const PassageEditor = dynamic(() => import('./passage-editor').then((m) => m.PassageEditor), { ssr: false })

/** The methods section as a page: written by the record, edited by hand, handed out as a file. */
export function SectionPane({ context, passages }: { context: FactContext; passages: readonly Passage[] }) {
  const actions = useSectionFiles(context, passages)
  useActions('pane', 'methods', actions)
  // What can be referred to is shown in the text, which is not drawn anew for it.
  useEffect(() => keepTargets(targetsIn(context, passages)), [context, passages])
  const shown = passages.filter((p) => p.content.length)
  return (
    <div className="methods">
      <nav className="outline" aria-label="Outline">
        {passages.map((p, i) => (
          <button
            key={p.id}
            className="plain"
            disabled={!p.content.length}
            style={p.content.length ? {} : { color: 'var(--ink3)' }}
            onClick={() =>
              document
                .getElementById(`passage-${p.id}`)
                ?.scrollIntoView({ behavior: 'smooth', block: 'start' })
            }
          >
            {i + 1} {p.title}
          </button>
        ))}
      </nav>
      <div className="page">
        <div className="page-head">
          <h1>Search and selection</h1>
          <SectionTelling context={context} />
          <span className="hand-out">
            Save as
            {actions.map((a) => (
              <button key={a.id} className="plain link" onClick={a.run}>
                {a.label}
                <KeyHint of={a} />
              </button>
            ))}
          </span>
        </div>
        {shown.map((p) => (
          <Fragment key={p.id}>
            <PassageEditor passage={p} draft={p.draft} context={context} />
            {(p.id === 'where' || p.id === 'searched') && <SourcesTable context={context} />}
          </Fragment>
        ))}
        <EarlierTexts context={context} shown={shown.map((p) => p.id)} />
        {!shown.length && (
          <p className="empty serif larger">
            The section writes itself as you work: the question first, then where you looked, with which
            words, what came back and how you chose. Begin with <StageLink to="Question" />.
          </p>
        )}
      </div>
    </div>
  )
}
