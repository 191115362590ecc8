'use client'
import { useStore } from '@/store/provider'
import { useEffect, useMemo, useRef, useState } from 'react'
import { listed, plural } from '@/core/base'
import type { Line, Review } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import type { SourceInfo } from '@/standins/source-info'
import { Strand } from '@/ui/strand'
import type { BoardRow, Judgement } from '@/workers'
import { KeyHint } from '../../shared/key-hint'
import { putTerms } from '../../shared/term-commands'

/** Known items against lines: a mark where a line finds an item; for one that is missed, where it is lost and what its record says instead. */
export function Board({
  review,
  info,
  lines,
  judgement,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  judgement: Judgement
}) {
  const [chosen, setChosen] = useState<string>()
  if (!review.knownItems.length)
    return (
      <p className="empty">
        No known items yet. Under Question (<kbd>⇧1</kbd>, then <kbd>I</kbd>) paste works that a good search
        must find.
      </p>
    )
  const { board } = judgement
  const found = board.filter((b) => b.atLast).length
  const shown = board.find((b) => b.id === chosen) ?? board.find((b) => b.lostAt.length)
  const absent = review.knownItems.length - board.length
  return (
    <section className="board" aria-label="Known items against lines">
      <p className="sub">
        The last line finds {found} of {plural(board.length, 'known item')} that {info.short} holds
        {absent > 0 && `; ${absent} it does not hold`}.
      </p>
      <div style={{ overflowX: 'auto' }}>
        <table>
          <thead>
            <tr>
              <th scope="col">Known item</th>
              {lines.map((l, i) => (
                <th key={l.id} scope="col" className="number">
                  {i + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {board.map((row) => (
              <tr key={row.id} className={row === shown ? 'on' : ''}>
                <th scope="row">
                  <button className="plain" onClick={() => setChosen(row.id)}>
                    {row.title}
                  </button>
                </th>
                {row.found.map((f, i) => (
                  <td
                    key={lines[i]?.id ?? i}
                    className={`number${row.lostAt.includes(i + 1) ? ' lost' : ''}`}
                    title={
                      f === undefined
                        ? 'not run'
                        : f
                          ? 'found'
                          : row.lostAt.includes(i + 1)
                            ? 'lost here'
                            : 'not found'
                    }
                  >
                    {f === undefined ? '' : f ? '●' : row.lostAt.includes(i + 1) ? '✕' : '·'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown && shown.lostAt.length > 0 && <Missed review={review} info={info} lines={lines} row={shown} />}
    </section>
  )
}

function Missed({
  review,
  info,
  lines,
  row,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  row: BoardRow
}) {
  const store = useStore()
  const concepts = row.lostAt.map((n) => review.concepts.find((c) => c.id === lines[n - 1]?.conceptId))
  const concept = concepts.find((c) => c !== undefined)
  const take = (kind: 'heading' | 'text', expression: string): void => {
    if (!concept) return
    putTerms(store, review, [
      {
        conceptId: concept.id,
        sourceId: kind === 'heading' ? info.source.id : 'all',
        kind,
        expression,
        origin: 'known item',
        from: `“${row.title}”, missed by line ${row.lostAt.join(', ')}`,
      },
    ])
  }
  // The best of what it offers, for one key after the other: what was taken is no longer offered.
  const [heading] = row.headings
  const [word] = row.words
  const first = useRef<() => void>(() => undefined)
  useEffect(() => {
    first.current = () => (heading ? take('heading', heading) : word ? take('text', word) : undefined)
  })
  useActions(
    'board',
    useMemo<Action[]>(
      () => [
        {
          id: 'board-take',
          label: 'Put what the missed record says into the grid, the first that is offered',
          key: 'T',
          when: () => concept !== undefined && (heading ?? word) !== undefined,
          run: () => first.current(),
        },
      ],
      [concept, heading, word],
    ),
  )
  return (
    <div className="note">
      <p>
        <b>
          Lost at {row.lostAt.length === 1 ? 'line' : 'lines'} {listed(row.lostAt.map(String))}.
        </b>{' '}
        {concept ? (
          <>
            Its record says other words for <Strand letter={concept.letter} /> {concept.name}. One press puts
            them into the grid:
          </>
        ) : (
          'A limit or a NOT leaves it out; the words would find it.'
        )}
      </p>
      {concept && (
        <p style={{ display: 'flex', flexWrap: 'wrap', gap: '4px 12px', marginTop: 4 }}>
          {row.headings.map((h) => (
            <button key={h} className="plain link" onClick={() => take('heading', h)}>
              {h} <span className="sub">heading</span>
              {h === heading && <KeyHint of="board-take" />}
            </button>
          ))}
          {row.words.map((w) => (
            <button key={w} className="plain link mono" onClick={() => take('text', w)}>
              {w}
              {!heading && w === word && <KeyHint of="board-take" />}
            </button>
          ))}
          {!row.headings.length && !row.words.length && (
            <span className="sub">nothing that the grid does not have</span>
          )}
        </p>
      )}
    </div>
  )
}
