import { useMemo, useRef } from 'react'
import { flushSync } from 'react-dom'
import { dropTerm, moveTerm, sayHeading, takeTermBack } from '@/core/doing'
import type { Review, Term } from '@/core/review'
import { useStore } from '@/page/provider'
import type { ChipDeeds } from './chip'
import type { Pane } from './terms-panes'
import { sameCell, type Cell } from './term-grid'

/** What can be done with a chip. The same object as long as the stage is shown, so that chips need not be drawn again. */
export function useChipDeeds(
  choose: (cell: Cell) => void,
  setPane: (pane: Pane) => void,
  setOpenAt: (at: { label: string }) => void,
  setAsking: (id: string) => void,
): ChipDeeds {
  const store = useStore()
  const { deed, doIt, session } = store
  const setters = useRef({ choose, setPane, setOpenAt, setAsking })
  return useMemo(() => {
    const review = (): Review => session.getState().folded.review
    const focus = (id: string): void => document.getElementById(`term-${id}`)?.focus()
    /** Does something to a term and has it drawn and focused, where it stands then, before the next key comes. */
    const follow = (id: string, deed: () => void): void => {
      flushSync(deed)
      focus(id)
    }
    return {
      drop: (term) => {
        deed(doIt(dropTerm, term))
        setters.current.setAsking(term.id)
      },
      takeBack: (term) => {
        follow(term.id, () => deed(doIt(takeTermBack, term)))
      },
      as: (term, withNarrower, mainFocus) => {
        follow(term.id, () => deed(doIt(sayHeading, { term, withNarrower, mainFocus })))
      },
      move: (term, letter) => {
        const concept = review().concepts.find((c) => c.letter === letter)
        if (!concept) return
        follow(term.id, () => {
          deed(doIt(moveTerm, { term, conceptId: concept.id }))
          setters.current.choose({ conceptId: concept.id, sourceId: term.sourceId })
        })
      },
      open: (term: Term) => {
        setters.current.choose(term)
        setters.current.setPane('terms')
        setters.current.setOpenAt({ label: term.expression })
      },
      walk: (term, step) => {
        const own = review().terms.filter((t) => sameCell(t, term))
        const next = own[own.findIndex((t) => t.id === term.id) + step]
        if (next) focus(next.id)
      },
      leave: () => document.querySelector<HTMLElement>('.grid-room')?.focus(),
    }
  }, [deed, doIt, session])
}
