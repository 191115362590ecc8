'use client'
import { useCallback, useRef, useState } from 'react'
import type { Concept, Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { leaveField } from '@/page/leave-field'
import { useAsked } from '@/page/use-asked'
import { searchDesk, type Neighbourhood } from '@/workers'
import { useElsewhere } from './elsewhere'
import { HeadingTaken } from './heading-taken'
import { Neighbours } from './neighbours'
import { Paths } from './reader-paths'
import { TreeView } from './tree-view'
import { useHeadingShown } from './use-heading-shown'
import { useReaderActions, type Taking } from './use-reader-actions'

interface Props {
  concept: Concept
  review: Review
  info: SourceInfo
  others: readonly SourceInfo[]
  /** A heading to open at, by its label; another object opens it again. */
  openAt: { label: string } | undefined
}

/** The vocabulary reader: look a word up, see the heading among its neighbours, take it. */
export function Reader({ concept, review, info, others, openAt }: Props) {
  const { key, title } = info.vocabulary!
  const { asked, ask, answered, failed, offers, tops, shown, go } = useHeadingShown(key, openAt)
  const [asTree, setAsTree] = useState(false)
  const [marked, setMarked] = useState<ReadonlyMap<string, string>>(new Map())
  const unmark = useCallback(() => setMarked(new Map()), [])
  const mark = ({ id, label }: { id: string; label: string }): void =>
    setMarked((m) => {
      const next = new Map(m)
      if (!next.delete(id)) next.set(id, label)
      return next
    })
  const taking: Taking = {
    ...{ concept, review, info, shown, marked, unmark, asTree, setAsTree },
    elsewhere: useElsewhere(info, others, shown),
    codes: useCodeCount(info, shown),
  }
  const actions = useReaderActions(taking)
  const room = useRef<HTMLDivElement>(null)
  const entry = offers.find((o) => o.id === shown?.heading.id && o.kind === 'entry term')
  return (
    <section className="reader" aria-label={`${title} for ${concept.name}`}>
      <div>
        <div className="lookup">
          <h2>{title}</h2>
          <input
            aria-label="Look up a heading"
            placeholder="a word, as you would say it"
            value={asked}
            onChange={(e) => ask(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') leaveField(e.currentTarget, room.current)
              // Only what is offered for the words that stand in the box now.
              if (e.key === 'Enter' && answered && shown) {
                ;(shown.below ? actions.narrower : actions.alone).run()
                leaveField(e.currentTarget, room.current)
              }
              if (e.key === 'ArrowDown') {
                e.preventDefault()
                document.querySelector<HTMLElement>('.reader [aria-current]')?.focus()
              }
            }}
          />
        </div>
        {entry && (
          <p className="sub above-2">
            “{entry.by}” is not a heading. <b>Use {entry.label}.</b>
          </p>
        )}
        {!answered && !shown && (failed !== undefined || !asked) && (
          <p className="empty">{failed ?? 'Opening the thesaurus …'}</p>
        )}
        {answered && asked && !offers.length && (
          <p className="empty">
            Nothing in this vocabulary has “{asked}”. Try another word for it, or part of one.
          </p>
        )}
        {(asked ? offers.length > 1 || offers[0]?.id !== shown?.heading.id : !shown) && (
          <div className="offers" role="group" aria-label="Headings found">
            {(asked ? offers : tops).map((o) => (
              <button
                key={o.id}
                className="plain link"
                aria-pressed={o.id === shown?.heading.id}
                style={o.id === shown?.heading.id ? { fontWeight: 600 } : {}}
                onClick={() => go(o.id)}
              >
                {o.label}
              </button>
            ))}
          </div>
        )}
        {shown && (
          <>
            <Paths at={shown} go={go} asTree={asTree} change={() => setAsTree(!asTree)} />
            {asTree ? (
              <TreeView vocabulary={key} id={shown.heading.id} go={go} />
            ) : (
              <Neighbours at={shown} go={go} marked={new Set(marked.keys())} mark={mark} />
            )}
          </>
        )}
      </div>
      {shown && <HeadingTaken taking={taking} shown={shown} actions={actions} room={room} />}
    </section>
  )
}

/** How many records a heading's class code finds with all below; undefined where the source has no codes. */
function useCodeCount(info: SourceInfo, shown: Neighbourhood | undefined): number | undefined {
  const code = info.profile?.classes && shown?.heading.code
  const id = info.standin?.id
  return useAsked(
    () => (code && id ? searchDesk().count(id, `class.below: "${code}"`) : undefined),
    [code, id],
  ).value
}
