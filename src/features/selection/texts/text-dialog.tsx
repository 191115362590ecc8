'use client'
import { useState, type ReactNode } from 'react'
import type { RulingMade } from '@/core/doing'
import { ChooseDialog } from '../../shared/choose-dialog'
import { STATE_WORDS } from './states'

type Had = NonNullable<RulingMade['had']>
const HAD: readonly Had[] = ['open copy', 'subscription', 'have', 'none noted']

/** Asks where a full text was had, before a work is ruled on it. */
export function useTextHad(): { ask: (take: (had: Had) => void) => void; dialog: ReactNode } {
  const [asked, setAsked] = useState<{ take: (had: Had) => void }>()
  return {
    ask: (take) => setAsked({ take }),
    dialog: (
      <ChooseDialog
        open={asked !== undefined}
        title="Where was its full text had?"
        choices={HAD.map((had) => ({
          words: had === 'none noted' ? 'ruled without one noted' : STATE_WORDS[had],
          ...(had === 'none noted' ? { beside: 'it is told as ruled without a text' } : {}),
          take: () => asked?.take(had),
        }))}
        close={() => setAsked(undefined)}
      >
        <p className="sub">None is noted as had so far. It is noted with the ruling, in one press.</p>
      </ChooseDialog>
    ),
  }
}
