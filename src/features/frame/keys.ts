'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo } from 'react'
import { isTyping, keyName, keyOf, useActions, toggleGuide, useRegistry, type Action } from '@/page/actions'
import { undoable } from '@/core/review'
import { useStore } from '@/page/provider'
import { leaveField } from '@/page/leave-field'
import { chooseTheme } from '@/ui/theme'
import { handOn } from '../shared/hand-on/hand-on-dialog'
import { saveBackup } from '../shared/hand-on/save-package'
import { whenHere } from '@/ui/later'
import { openDialog } from '@/ui/open-dialog'
import { useUndo } from './undo'
import { reviewAddress } from '@/page/address'

const STAGES = ['Question', 'Terms', 'Searches', 'Records', 'Selection', 'Methods']

/** What can be done on every stage. */
export function useFrameActions(reviewId: string, reading: boolean): void {
  const store = useStore()
  const { session } = store
  const { undo, redo } = useUndo()
  const router = useRouter()
  const actions = useMemo<Action[]>(
    () => [
      {
        id: 'palette',
        label: 'Do anything',
        key: 'K',
        strip: true,
        run: () => useRegistry.setState({ paletteOpen: true }),
      },
      {
        id: 'undo',
        label: 'Undo',
        key: 'Z',
        when: () => undoable(session.getState().folded).length > 0,
        run: undo,
      },
      {
        id: 'redo',
        label: 'Do again what was undone',
        key: 'Shift+Z',
        when: () => session.getState().folded.undone.length > 0,
        run: redo,
      },
      ...(reading ? [] : STAGES).map((name, i) => ({
        id: `stage-${name}`,
        label: `Go to ${name}`,
        key: `Shift+${i + 1}`,
        run: () => router.push(reviewAddress(reviewId, name.toLowerCase())),
      })),
      ...(reading
        ? []
        : [
            { id: 'package', label: 'Hand the review on as a package', run: () => handOn(store) },
            {
              id: 'where-from',
              label: 'Where does a number come from?',
              key: 'Shift+W',
              run: () => useRegistry.setState({ whereFromOpen: true }),
            },
          ]),
      {
        id: 'backup',
        label: 'Save everything now, as a backup',
        key: 'Shift+S',
        run: () => store.deed(saveBackup(store)),
      },
      {
        id: 'guide',
        label: 'Guide to this stage',
        key: 'Shift+G',
        run: toggleGuide,
      },
      { id: 'shelf', label: 'To the shelf of reviews', run: () => router.push('/') },
      {
        id: 'keys',
        label: 'Change the keys, or switch them off',
        run: () => useRegistry.setState({ keysOpen: true }),
      },
      { id: 'light', label: 'Light theme', run: () => chooseTheme('light') },
      { id: 'dark', label: 'Dark theme', run: () => chooseTheme('dark') },
      { id: 'system', label: 'Theme as the system has it', run: () => chooseTheme('as the system') },
    ],
    [reviewId, reading, router, store, session, undo, redo],
  )
  useActions('frame', 'frame', actions)
}

/** One listener for all keys: the first action that has the key and may be done is done. */
export function useKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { own, paletteOpen } = useRegistry.getState()
      // The palette is always to be had, also where single keys are switched off and while a text is being typed.
      if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'k') {
        event.preventDefault()
        useRegistry.setState({ paletteOpen: true })
        return
      }
      if (event.key === 'Escape' && !event.defaultPrevented && isTyping(event.target)) {
        const field = event.target as HTMLElement
        // Dialogs and open lists close by Escape themselves.
        if (!field.closest('[role=dialog]') && field.getAttribute('aria-expanded') !== 'true')
          leaveField(field)
        return
      }
      // Enter in a line has done what it does by now, and may have closed a dialog: the same press must not press the
      // button that the focus went back to.
      if (event.key === 'Enter' && event.target instanceof HTMLInputElement && isTyping(event.target)) {
        event.preventDefault()
        return
      }
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
        return
      // What is typed while the palette opens is meant for it: a letter goes into it, and is never an action of the stage.
      if (paletteOpen) {
        document.querySelector<HTMLElement>('[role=combobox][aria-label="Search the actions"]')?.focus()
        return
      }
      // Its focus comes a moment after it is seen: a key pressed then is no key of what lies behind.
      if (own.off || openDialog()) return
      const digit =
        event.shiftKey && /^Digit[1-6]$/.test(event.code) ? `Shift+${event.code.slice(5)}` : undefined
      const name = digit ?? keyName(event)
      const { actions } = useRegistry.getState()
      // What is typed behind this key is meant for the palette, so it does not wait for what is still coming.
      const palette = actions.find((a) => a.id === 'palette')
      if (palette && keyOf(palette, own) === name) {
        event.preventDefault()
        palette.run()
        return
      }
      // What is seen is not here as a whole: a key pressed on it must not meet the actions around it.
      const { target, key, code, shiftKey } = event
      const again = (): void => {
        // What came may be a dialog or a field: what was typed for it is no key of the stage.
        if (isTyping(document.activeElement) || openDialog()) return
        const at = target instanceof Element && target.isConnected ? target : document.body
        at.dispatchEvent(
          new KeyboardEvent('keydown', { key, code, shiftKey, bubbles: true, cancelable: true }),
        )
      }
      if (!whenHere(again)) {
        event.preventDefault()
        return
      }
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, [role=button]')
      if (onButton && (name === 'Enter' || name === ' ')) return
      const action = actions.find((a) => keyOf(a, own) === name && (!a.when || a.when()))
      if (!action) return
      event.preventDefault()
      action.run()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
