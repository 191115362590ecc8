'use client'
import { useStore } from '@/page/provider'
import { useEffect, useMemo, useRef, useState } from 'react'
import { plural } from '@/core/base'
import type { Line, Review } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import type { SourceInfo } from '@/standins/source-info'
import { Strand } from '@/ui/strand'
import type { BoardCause, BoardRow, Judgement } from '@/workers'
import { KeyHint } from '../../shared/key-hint'
import { StageLink } from '../../shared/stage-link'
import { putTerms } from '../../shared/term-commands'
import styles from './board.module.css'

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
        No known items yet. Under <StageLink to="Question" /> paste works that a good search must find.
      </p>
    )
  const { board } = judgement
  const found = board.filter((b) => b.atLast).length
  const shown = board.find((b) => b.id === chosen) ?? board.find((b) => b.lostAt.length)
  const absent = review.knownItems.length - board.length
  return (
    <section className="board" aria-label="Known items against lines">
      <p className="sub">
        The line that counts finds {found} of {plural(board.length, 'known item')} that {info.short} holds
        {absent > 0 && `; ${absent} it does not hold`}.
      </p>
      <div className="slides">
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
      {shown && shown.lostAt.length > 0 && <Missed review={review} info={info} row={shown} />}
    </section>
  )
}

function Missed({ review, info, row }: { review: Review; info: SourceInfo; row: BoardRow }) {
  const store = useStore()
  const take = ({ conceptId, kind, expression }: BoardOffer): void =>
    putTerms(store, [
      {
        conceptId,
        sourceId: kind === 'heading' ? info.source.id : 'all',
        kind,
        expression,
        origin: 'known item',
        from: `“${row.title}”, missed by line ${row.lostAt.join(', ')}`,
      },
    ])
  const offers = row.causes.flatMap(offersOf)
  const [best] = offers
  // The best of what it offers, for one key after the other: what was taken is no longer offered.
  const first = useRef<() => void>(() => undefined)
  useEffect(() => {
    first.current = () => best && take(best)
  })
  useActions(
    'part',
    'board',
    useMemo<Action[]>(
      () => [
        {
          id: 'board-take',
          label: 'Put what the missed record says into the grid, the first that is offered',
          key: 'T',
          when: () => best !== undefined,
          run: () => first.current(),
        },
      ],
      [best],
    ),
  )
  return (
    <div className="note">
      {row.causes.map((cause, i) => {
        const own = offersOf(cause)
        const concept = review.concepts.find((c) => c.id === cause.conceptId)
        return (
          <div key={i}>
            <p>
              {concept && <Strand letter={concept.letter} />} <b>{capital(cause.words)}.</b>
              {own.length > 0 && ' One press puts into the grid what it says:'}
            </p>
            {concept && (
              <p className={styles.offers}>
                {own.map((offer) => (
                  <button
                    key={`${offer.kind} ${offer.expression}`}
                    className={`plain link${offer.kind === 'text' ? ' mono' : ''}`}
                    onClick={() => take(offer)}
                  >
                    {offer.expression} {offer.kind === 'heading' && <span className="sub">heading</span>}
                    {offer === best && <KeyHint of="board-take" />}
                  </button>
                ))}
                {!own.length && <span className="sub">nothing that the grid does not have</span>}
              </p>
            )}
          </div>
        )
      })}
    </div>
  )
}

interface BoardOffer {
  conceptId: string
  kind: 'heading' | 'text'
  expression: string
}

/** What can be put into the grid against one cause of a miss, headings first. */
function offersOf({ conceptId, headings, names }: BoardCause): BoardOffer[] {
  if (conceptId === undefined) return []
  const of = (kind: BoardOffer['kind']) => (expression: string) => ({ conceptId, kind, expression })
  return [...headings.map(of('heading')), ...names.map(of('text'))]
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
