'use client'
import type { RefObject } from 'react'
import { listed, plural, thousands } from '@/core/base'
import { sameTerm } from '@/core/doing'
import type { Neighbourhood } from '@/workers'
import { KeyHint } from '../shared/key-hint'
import { ElsewhereList } from './elsewhere'
import type { ReaderActions, Taking } from './use-reader-actions'

/** How a heading can be taken, what speaks for each way in records, and what the other vocabularies have for it. */
export function HeadingTaken({
  taking: { concept, review, info, marked, unmark, elsewhere, codes },
  shown,
  actions,
  room,
}: {
  taking: Taking
  shown: Neighbourhood
  actions: ReaderActions
  room: RefObject<HTMLDivElement | null>
}) {
  const many = marked.size > 0
  const cell = { conceptId: concept.id, sourceId: info.source.id, kind: 'heading' as const }
  const taken = sameTerm(review, { ...cell, expression: shown.heading.label })
  return (
    <div ref={room} tabIndex={-1}>
      <h2>{many ? `Take ${plural(marked.size, 'heading')}` : `Take “${shown.heading.label}”`}</h2>
      {many && (
        <p className="sub">
          {listed([...marked.values()])} ·{' '}
          <button className="plain link" onClick={unmark}>
            unmark
          </button>
        </p>
      )}
      <TakeRow
        id="take-alone"
        words="alone"
        count={many ? undefined : shown.counted.alone}
        run={actions.alone.run}
      />
      {(many || shown.below > 0) && (
        <TakeRow
          id="take-narrower"
          words={many ? 'with narrower' : `with ${shown.below} narrower`}
          count={many ? undefined : shown.counted.withNarrower}
          run={actions.narrower.run}
        />
      )}
      <TakeRow
        id="take-main"
        words="as main focus"
        count={many ? undefined : shown.main}
        run={actions.main.run}
      />
      {codes !== undefined && !many && (
        <TakeRow
          id="take-code"
          words={`class ${shown.heading.code} and below`}
          count={codes}
          run={actions.code.run}
        />
      )}
      {taken && (
        <p className="quiet-note">
          In the grid{taken.withNarrower ? ', with narrower' : taken.mainFocus ? ', as main focus' : ''}
          {taken.status === 'dropped' ? ', but dropped' : ''}.
        </p>
      )}
      {shown.heading.since && (
        <p className="note">
          <b>Since {shown.heading.since}.</b> Older records have{' '}
          {shown.older.length ? <i>{listed(shown.older, 'or')}</i> : 'another heading'} instead: take that too
          if they count.
        </p>
      )}
      {shown.heading.replacedBy && (
        <p className="note">
          <b>No longer used.</b> Newer records have another heading; this one finds only the older.
        </p>
      )}
      <ElsewhereList
        review={review}
        concept={concept}
        elsewhere={elsewhere}
        label={shown.heading.label}
        fill={actions.fill.run}
      />
    </div>
  )
}

function TakeRow({
  id,
  words,
  count,
  run,
}: {
  id: string
  words: string
  count: number | undefined
  run: () => void
}) {
  return (
    <button className="plain take" onClick={run}>
      <span>
        <KeyHint of={id} />
      </span>
      <span>{words}</span>
      <span className="number">{count === undefined ? '' : thousands(count)}</span>
    </button>
  )
}
