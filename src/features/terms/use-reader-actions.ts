import { useMemo } from 'react'
import type { Concept, Review } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import type { Neighbourhood } from '@/workers'
import { putTerms } from '../shared/term-commands'
import { fillRow, rowFilling, type Elsewhere } from './elsewhere'

/** What a heading is taken with, by the reader's keys. */
export interface Taking {
  concept: Concept
  review: Review
  info: SourceInfo
  shown: Neighbourhood | undefined
  /** Headings that are marked, by id, with their labels: these are taken in place of the one that is shown. */
  marked: ReadonlyMap<string, string>
  unmark: () => void
  elsewhere: readonly Elsewhere[]
  /** How many records its class code finds; undefined where the source has no codes. */
  codes: number | undefined
  asTree: boolean
  setAsTree: (asTree: boolean) => void
}

/** Takes what the reader shows, and turns it; offered as the actions of the reader. */
export function useReaderActions({
  concept,
  review,
  info,
  shown,
  marked,
  unmark,
  elsewhere,
  codes,
  asTree,
  setAsTree,
}: Taking): ReaderActions {
  const store = useStore()
  const actions = useMemo(() => {
    const base = { conceptId: concept.id, sourceId: info.source.id, origin: 'look-up' as const }
    const take = (withNarrower: boolean, mainFocus: boolean) => (): void => {
      if (!shown) return
      const labels = marked.size ? [...marked.values()] : [shown.heading.label]
      putTerms(
        store,
        labels.map((expression) => ({ ...base, kind: 'heading', expression, withNarrower, mainFocus })),
      )
      unmark()
    }
    const when = (): boolean => shown !== undefined
    return {
      alone: { id: 'take-alone', label: 'Take the heading alone', key: '1', when, run: take(false, false) },
      narrower: {
        id: 'take-narrower',
        label: 'Take the heading with narrower',
        key: '2',
        when,
        run: take(true, false),
      },
      main: {
        id: 'take-main',
        label: 'Take the heading as main focus',
        key: '3',
        when,
        run: take(false, true),
      },
      code: {
        id: 'take-code',
        label: 'Take its class code with all below',
        key: '4',
        when: () => codes !== undefined,
        run: () => {
          const expression = shown?.heading.code
          if (expression) putTerms(store, [{ ...base, kind: 'class', expression, withNarrower: true }])
        },
      },
      fill: {
        id: 'fill-row',
        label: 'Fill the row from the other vocabularies',
        key: 'R',
        strip: true,
        when: () => rowFilling(review, concept, elsewhere).length > 0,
        run: () => shown && fillRow(store, review, concept, elsewhere, shown.heading.label),
      },
      tree: {
        id: 'reader-tree',
        label: asTree ? 'Show the neighbourhood' : 'Show the tree',
        key: 'T',
        strip: true,
        when,
        run: () => setAsTree(!asTree),
      },
    } satisfies Record<string, Action>
  }, [concept, info.source.id, asTree, shown, marked, store, review, codes, elsewhere, unmark, setAsTree])
  const list = useMemo(() => Object.values<Action>(actions), [actions])
  useActions('pane', 'reader', list)

  return actions
}

export type ReaderActions = Record<'alone' | 'narrower' | 'main' | 'code' | 'fill' | 'tree', Action>
