'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo } from 'react'
import { isTyping, keyName, useActions, useRegistry, type Action } from '@/store/actions'
import { packOpenReview, redo, undo, useSession } from '@/store/session'
import { fileName, saveFile } from '@/ui/save-file'
import { chooseTheme } from '@/ui/theme'

const STAGES = ['Question', 'Terms', 'Searches', 'Records', 'Selection', 'Methods']

/** Saves the open review as a package file. */
export async function savePackage(): Promise<void> {
  const bytes = await packOpenReview()
  saveFile(
    fileName(useSession.getState().folded.review.title, 'luvren.zip'),
    bytes as BlobPart,
    'application/zip',
  )
}

/** What can be done on every stage. */
export function useFrameActions(reviewId: string): void {
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
        when: () => useSession.getState().folded.done.length > 0,
        run: () => void undo(),
      },
      {
        id: 'redo',
        label: 'Do again what was undone',
        key: 'Shift+Z',
        when: () => useSession.getState().folded.undone.length > 0,
        run: () => void redo(),
      },
      ...STAGES.map((name, i) => ({
        id: `stage-${name}`,
        label: `Go to ${name}`,
        key: `Shift+${i + 1}`,
        run: () => router.push(`/review/${reviewId}/${name.toLowerCase()}`),
      })),
      { id: 'package', label: 'Save the review as a package', run: () => void savePackage() },
      { id: 'shelf', label: 'To the shelf of reviews', run: () => router.push('/') },
      { id: 'light', label: 'Light theme', run: () => chooseTheme('light') },
      { id: 'dark', label: 'Dark theme', run: () => chooseTheme('dark') },
      { id: 'system', label: 'Theme as the system has it', run: () => chooseTheme('as the system') },
    ],
    [reviewId, router],
  )
  useActions('frame', actions)
}

/** One listener for all keys: the first action that has the key and may be done is done. */
export function useKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
        return
      const digit =
        event.shiftKey && /^Digit[1-6]$/.test(event.code) ? `Shift+${event.code.slice(5)}` : undefined
      const name = digit ?? keyName(event)
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, [role=button]')
      if (onButton && (name === 'Enter' || name === ' ')) return
      const groups = [...useRegistry.getState().groups.values()].reverse()
      const action = groups.flat().find((a) => a.key === name && (!a.when || a.when()))
      if (!action) return
      event.preventDefault()
      action.run()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
