import { App } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo } from 'react'
import { plural } from '@/core/base'
import type { LastDeed } from '@/core/review'
import { useStore } from '@/page/provider'
import { leadToPlace } from '@/page/whereabouts'
import { untouched } from './untouched'
import { reviewAddress } from '@/page/address'

export interface Undoing {
  undo: () => void
  redo: () => void
}

/**
 * Undo and its opposite as a person does them: what is taken back is named, the screen goes to where it stands, and
 * runs, which happened, are passed only after asking. Who has pressed or clicked on since stays where they are.
 */
export function useUndo(): Undoing {
  const store = useStore()
  const router = useRouter()
  const { message, modal } = App.useApp()
  return useMemo(() => {
    const { session, deed } = store
    const show = (did: LastDeed | undefined, how: string, still: boolean): void => {
      if (!did) return
      deed(message.open({ key: 'undo', content: `${how}: ${did.words}.`, duration: 4 }))
      const { reviewId } = session.getState()
      if (!did.place || !reviewId || !still) return
      leadToPlace(did.place)
      const there = reviewAddress(reviewId, did.place.stage)
      if (window.location.pathname + window.location.search !== there) router.push(there)
    }
    const after = (doing: Promise<LastDeed | undefined>, how: string): void => {
      const still = untouched()
      deed(doing.then((did) => show(did, how, still())))
    }
    const take = (): void => after(store.undo(), 'Undone')
    return {
      undo: () => {
        const next = store.nextUndo()
        if (!next) return
        if (!next.runsSince) return take()
        modal.confirm({
          title: `Undo “${next.words}”?`,
          content: `${plural(next.runsSince, 'run')} ${next.runsSince === 1 ? 'was' : 'were'} logged after it. A run stays: it happened, and can be corrected but not undone. Only what was done before ${next.runsSince === 1 ? 'it' : 'them'} would go.`,
          okText: 'Undo it',
          cancelText: 'Leave it',
          autoFocusButton: 'cancel',
          onOk: take,
        })
      },
      redo: () => after(store.redo(), 'Done again'),
    }
  }, [store, router, message, modal])
}
