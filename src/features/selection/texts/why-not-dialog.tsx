'use client'
import { useState, type ReactNode } from 'react'
import { ChooseDialog } from '../../shared/choose-dialog'

const USUAL = ['nobody lends it', 'too dear', 'no answer from the authors', 'not found anywhere']

/** Asks why a full text was not to be had: reasons that were given before, those that are usual, or others. */
export function useWhyNot(take: (why: string) => void): {
  ask: (before: readonly string[]) => void
  dialog: ReactNode
} {
  const [given, setGiven] = useState<readonly string[]>()
  const offered = [...new Set([...(given ?? []), ...USUAL])].slice(0, 8)
  return {
    ask: setGiven,
    dialog: (
      <ChooseDialog
        open={given !== undefined}
        title="Why was it not to be had?"
        choices={offered.map((words) => ({ words, take: () => take(words) }))}
        other={{ label: 'Why it was not to be had', placeholder: 'another reason, and Enter', take }}
        close={() => setGiven(undefined)}
      />
    ),
  }
}
