'use client'
import { useState, type ReactNode } from 'react'
import { thousands } from '@/core/base'
import { questionsOf, type PassName, type Review } from '@/core/review'
import { reasonsOffered } from '@/core/selection'
import { ChooseDialog } from '../../shared/choose-dialog'
import type { Selected } from '../use-selected'

export type ReasonTaken = { criterionId?: string; reason?: string }

/** A copy for reading names the questions of its pass, and no others. */
const questionsAlone = (review: Review, pass: PassName): Review => ({
  ...review,
  criteria: questionsOf(review, pass),
})

/** Asks for the one main reason of a work that goes out: a question of either pass, words given before, or others. */
export function useReason(
  { review, ruled, reading }: Selected,
  pass: PassName,
): { ask: (take: (reason: ReasonTaken) => void) => void; dialog: ReactNode } {
  const [asked, setAsked] = useState<{ take: (reason: ReasonTaken) => void }>()
  const choices = asked
    ? reasonsOffered(reading ? questionsAlone(review, pass) : review, ruled, pass).map(
        ({ criterionId, reason, words, given }) => ({
          words,
          ...(given
            ? { beside: `given ${thousands(given)} times`.replace(/^given 1 times$/, 'given once') }
            : {}),
          take: () => asked.take(criterionId === undefined ? { reason: reason! } : { criterionId }),
        }),
      )
    : []
  return {
    ask: (take) => setAsked({ take }),
    dialog: (
      <ChooseDialog
        open={asked !== undefined}
        title="Out, by which main reason?"
        choices={choices}
        other={{
          label: 'Another reason',
          placeholder: 'another reason, and Enter',
          take: (reason) => asked?.take({ reason }),
        }}
        close={() => setAsked(undefined)}
      />
    ),
  }
}
