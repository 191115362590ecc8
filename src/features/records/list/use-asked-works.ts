import { useCallback, useMemo, useState } from 'react'
import type { ChosenWorks, WorkFacet, WorkOrder } from '@/core/records'
import { useAsked } from '@/page/use-asked'
import { recordsDesk, type WorksAnswer } from '@/workers'
import type { Desk } from '../use-desk'

/** What is asked of the list of works. */
export interface AskedList {
  words: string
  chosen: ChosenWorks
  leftOut: ChosenWorks
  order: WorkOrder
  /** Exactly these sources found it. */
  only?: readonly string[] | undefined
}
const ALL: AskedList = { words: '', chosen: {}, leftOut: {}, order: 'added' }

export interface AskedWorksState {
  asked: AskedList
  answer: WorksAnswer | undefined
  set: (part: Partial<AskedList>) => void
  /** Takes a value in, leaves works with it out, or neither: in that order, time by time. */
  toggle: (facet: WorkFacet, value: string, out?: boolean) => void
  clear: () => void
  narrowed: boolean
}

const without = (of: ChosenWorks, facet: WorkFacet, value: string): ChosenWorks => ({
  ...of,
  [facet]: (of[facet] ?? []).filter((v) => v !== value),
})
const withOne = (of: ChosenWorks, facet: WorkFacet, value: string): ChosenWorks => ({
  ...of,
  [facet]: [...(of[facet] ?? []), value],
})
const anything = (of: ChosenWorks): boolean => Object.values(of).some((v) => v.length > 0)

/** The list as a person has it: words, what is taken in and left out, and the order, with the desk's answer. */
export function useAskedWorks({ version }: Desk): AskedWorksState {
  const [asked, setAsked] = useState<AskedList>(ALL)
  const { value: answer } = useAsked(
    () => (version ? recordsDesk().ask(asked) : undefined),
    [version, asked],
    { keep: true },
  )
  const set = useCallback((part: Partial<AskedList>) => setAsked((before) => ({ ...before, ...part })), [])
  const toggle = useCallback(
    (facet: WorkFacet, value: string, out = false) =>
      setAsked((before) => {
        const isIn = before.chosen[facet]?.includes(value) ?? false
        const isOut = before.leftOut[facet]?.includes(value) ?? false
        const bare = {
          ...before,
          chosen: without(before.chosen, facet, value),
          leftOut: without(before.leftOut, facet, value),
        }
        if (out) return isOut ? bare : { ...bare, leftOut: withOne(bare.leftOut, facet, value) }
        return isIn || isOut ? bare : { ...bare, chosen: withOne(bare.chosen, facet, value) }
      }),
    [],
  )
  const clear = useCallback(() => setAsked((before) => ({ ...ALL, order: before.order })), [])
  return useMemo(
    () => ({
      asked,
      answer,
      set,
      toggle,
      clear,
      narrowed:
        asked.words.trim() !== '' ||
        anything(asked.chosen) ||
        anything(asked.leftOut) ||
        asked.only !== undefined,
    }),
    [asked, answer, set, toggle, clear],
  )
}
