'use client'
import { peekedTerms, peekedWith, peekedWithout, type LineAsked } from '@/core/doing'
import type { ChosenFacets } from '@/core/records'
import type { Letter, Line, Review } from '@/core/review'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { putTerms } from '../../shared/term-commands'
import { addLine } from '../sheet/add-line'

/** What can be done with the facets that were chosen: a new line with or without them, a limit, terms in the grid. */
export function UseOfPeek({
  review,
  info,
  lines,
  number,
  chosen,
  done,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  number: number
  chosen: ChosenFacets
  done: () => void
}) {
  const store = useStore()
  const { source } = info
  const add = ({ text, limits }: LineAsked): void => {
    addLine(store, source.id, lines, text, { limits })
    done()
  }
  const without = peekedWithout(number, chosen)
  const harvest = (letter: Letter): void => {
    const concept = review.concepts.find((c) => c.letter === letter)
    if (!concept) return
    const from = `line ${number} of ${info.short}`
    putTerms(store, peekedTerms(chosen, { conceptId: concept.id, sourceId: source.id, from }))
    done()
  }
  return (
    <div className="quiet-note in-row wraps">
      <button className="plain link" onClick={() => add(peekedWith(number, chosen))}>
        new line with it
      </button>
      {without && (
        <button className="plain link" onClick={() => add(without)}>
          new line without it
        </button>
      )}
      {(chosen.heading?.length || chosen.keyword?.length) && (
        <span>
          into the grid:{' '}
          {review.concepts.map((c) => (
            <button
              key={c.id}
              className={`plain letter ${c.letter}`}
              aria-label={`Harvest into ${c.letter}`}
              onClick={() => harvest(c.letter)}
            >
              {c.letter}
            </button>
          ))}
        </span>
      )}
      <button className="plain link" onClick={done}>
        choose none
      </button>
    </div>
  )
}
