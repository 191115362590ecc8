'use client'
import { useMemo, useState } from 'react'
import type { Concept, Review, Term } from '@/core/review'
import { standin } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { act, useSession } from '@/store/session'
import { Strand } from '@/ui/strand'
import { Reader } from './reader'
import { WordEntry } from './word-entry'

interface Cell {
  conceptId: string
  /** `all` is the column of text words. */
  sourceId: string
}

const sameCell = (a: Cell, b: Cell): boolean => a.conceptId === b.conceptId && a.sourceId === b.sourceId

/** The grid: a row a concept, text words first, then the vocabulary of each source; below it the reader of a cell. */
export function TermsStage() {
  const review = useSession((s) => s.folded.review)
  const sources = useMemo(
    () => review.sources.filter((s) => standin(s.profileId)?.vocabularyTitle),
    [review.sources],
  )
  const cells = useMemo(
    () =>
      review.concepts.flatMap((c) =>
        ['all', ...sources.map((s) => s.id)].map((sourceId): Cell => ({ conceptId: c.id, sourceId })),
      ),
    [review.concepts, sources],
  )
  const [chosen, setChosen] = useState<Cell>()
  const cell = (chosen && cells.find((c) => sameCell(c, chosen))) ?? cells[0]

  const actions = useMemo<Action[]>(() => {
    const move = (right: number, down: number) => (): void => {
      if (!cell) return
      const width = sources.length + 1
      const at = cells.findIndex((c) => sameCell(c, cell))
      const x = Math.max(0, Math.min(width - 1, (at % width) + right))
      const y = Math.max(0, Math.min(review.concepts.length - 1, Math.floor(at / width) + down))
      setChosen(cells[y * width + x])
    }
    return [
      {
        id: 'terms-look',
        label: 'Look up or type',
        key: '/',
        strip: true,
        run: () => document.querySelector<HTMLElement>('.lookup input')?.focus(),
      },
      { id: 'terms-left', label: 'Cell to the left', key: 'ArrowLeft', run: move(-1, 0) },
      { id: 'terms-right', label: 'Cell to the right', key: 'ArrowRight', run: move(1, 0) },
      { id: 'terms-up', label: 'Cell above', key: 'ArrowUp', run: move(0, -1) },
      { id: 'terms-down', label: 'Cell below', key: 'ArrowDown', run: move(0, 1) },
    ]
  }, [cell, cells, review.concepts.length, sources.length])
  useActions('terms', actions)

  if (!review.concepts.length || !cell)
    return (
      <>
        <h1>Terms</h1>
        <p className="empty">
          A row for each concept will stand here, with its words and, for each database, the headings of its
          thesaurus. Weave concepts into the question first: <kbd>⇧1</kbd> goes there.
        </p>
      </>
    )
  const concept = review.concepts.find((c) => c.id === cell.conceptId)!
  return (
    <>
      <div style={{ display: 'flex', alignItems: 'baseline', gap: 16 }}>
        <h1>Terms</h1>
        <span className="sub">
          one row a concept; words serve every source, headings only their own vocabulary
        </span>
        <span className="sub" style={{ marginLeft: 'auto' }}>
          ⌄ with narrower &nbsp; ◉ main focus
        </span>
      </div>
      <div className="grid-room" tabIndex={0} role="group" aria-label="Term grid">
        <table className="grid">
          <colgroup>
            <col style={{ width: 136 }} />
            <col style={{ width: sources.length > 1 ? '30%' : '45%' }} />
          </colgroup>
          <thead>
            <tr>
              <th scope="col">
                <span className="hidden-text">Concept</span>
              </th>
              <th scope="col">Text words, everywhere</th>
              {sources.map((s) => (
                <th key={s.id} scope="col">
                  {standin(s.profileId)?.short} headings
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {review.concepts.map((c) => (
              <tr key={c.id} data-anchor={`concept:${c.id}`}>
                <th className="row" scope="row" title={c.name}>
                  <Strand letter={c.letter} /> {c.name}
                </th>
                {['all', ...sources.map((s) => s.id)].map((sourceId) => {
                  const own = { conceptId: c.id, sourceId }
                  const on = sameCell(own, cell)
                  return (
                    <td
                      key={sourceId}
                      className={on ? 'on' : ''}
                      aria-current={on}
                      onClick={() => setChosen(own)}
                    >
                      <CellChips review={review} concept={c} sourceId={sourceId} />
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {!sources.length && (
        <p className="quiet-note">
          No source with a thesaurus is planned yet. Add one under Question, “Where to look”, to take
          headings.
        </p>
      )}
      {cell.sourceId === 'all' ? (
        <WordEntry key={concept.id} concept={concept} review={review} />
      ) : (
        <Reader
          key={`${concept.id}/${cell.sourceId}`}
          concept={concept}
          review={review}
          source={sources.find((s) => s.id === cell.sourceId)!}
        />
      )}
    </>
  )
}

function CellChips({ review, concept, sourceId }: { review: Review; concept: Concept; sourceId: string }) {
  const terms = review.terms.filter((t) => t.conceptId === concept.id && t.sourceId === sourceId)
  return terms.map((t) => <Chip key={t.id} term={t} letter={concept.letter} />)
}

function Chip({ term, letter }: { term: Term; letter: string }) {
  const dropped = term.status === 'dropped'
  return (
    <span
      className={`chip ${letter} ${term.kind}${dropped ? ' dropped' : ''}`}
      title={term.reason ?? `from: ${term.origin}`}
    >
      {term.expression}
      {term.withNarrower && <span aria-label="with narrower">⌄</span>}
      {term.mainFocus && <span aria-label="main focus">◉</span>}
      <button
        className="plain remove"
        aria-label={`${dropped ? 'Take back' : 'Drop'} ${term.expression}`}
        onClick={(e) => {
          e.stopPropagation()
          void act('term.set', { ...term, status: dropped ? 'in use' : 'dropped' })
        }}
      >
        {dropped ? '↩' : '×'}
      </button>
    </span>
  )
}
