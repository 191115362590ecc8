'use client'
import { App } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { addSources, takeSourceOut, type SourceChosen } from '@/core/doing'
import { useStore } from '@/page/provider'
import { later } from '@/ui/later'
import { longDesk, type FileExamined, type FileHow } from '@/workers'
import { bringFile, isPlain, remember, remembered, type FileBrought, type Target } from './bring-file'

const FileDialog = later(() => import('./file-dialog').then((m) => m.FileDialog))

interface Asking {
  file: File
  examined: FileExamined
  target: Target
  then: Then
  /** Those that are looked at after this one. */
  further: readonly File[]
}
type Then = (brought: FileBrought) => void

/**
 * Bringing files in: at once where a file leaves nothing open, after a look at its first lines where it does. `dialog` is to
 * be placed somewhere; `look` has every file looked at first; `further` are looked at one after another, each for a source
 * of its own.
 */
export function useBringFile(): {
  bring: (file: File, target: Target, then: Then, look?: boolean, further?: readonly File[]) => void
  dialog: ReactNode
} {
  const store = useStore()
  const { message } = App.useApp()
  const [asking, setAsking] = useState<Asking>()
  const [busy, setBusy] = useState<{ words: string; stop: () => void }>()
  const next = async ({
    further,
    target,
    then,
  }: Pick<Asking, 'further' | 'target' | 'then'>): Promise<void> => {
    setAsking(undefined)
    const [file, ...rest] = further
    if (file) await bring(file, target, then, true, rest)
  }
  const read = async (
    { file, target, then, further }: Omit<Asking, 'examined'>,
    how: FileHow,
    made?: SourceChosen,
  ): Promise<void> => {
    if (made) await store.doIt(addSources, [made])
    const source = made ? store.session.getState().folded.review.sources.at(-1) : target.source
    if (!source) return
    let stopped = false
    const stop = (): void => {
      stopped = true
    }
    setBusy({ words: 'Reading …', stop })
    try {
      const brought = await bringFile(store, file, how, { ...target, source }, (words) => {
        setBusy({ words, stop })
        return !stopped
      })
      // A source that was made for these records alone goes again with them.
      if (made && !brought?.count) await store.doIt(takeSourceOut, source.id)
      await next({ further, target, then })
      if (!brought) message.info(`Stopped: nothing of ${file.name} is in the review.`)
      else if (!brought.count)
        message.error(`${file.name}: ${brought.problems[0]?.message ?? 'no record was found.'}`, 10)
      else {
        await remember(store, how)
        then(brought)
        if (brought.broken)
          message.warning(
            `${plural(brought.broken, 'record')} of ${file.name} could not be read and ${brought.broken === 1 ? 'is' : 'are'} not in the review: ${brought.problems
              .filter((p) => p.severity === 'error')
              .slice(0, 3)
              .map((p) => p.message)
              .join(' ')}`,
            15,
          )
      }
    } finally {
      setBusy(undefined)
    }
  }
  const bring = async (
    file: File,
    target: Target,
    then: Then,
    look: boolean,
    further: readonly File[],
  ): Promise<void> => {
    const examined = await longDesk().examine(file, { remembered: await remembered(store) })
    if (look || !target.source || !isPlain(examined))
      return setAsking({ file, examined, target, then, further })
    await read(
      { file, target, then, further },
      { encoding: examined.encoding, shape: examined.shape!, name: examined.digest.slice(0, 8) },
    )
  }
  return {
    bring: (file, target, then, look = false, further = []) => {
      store.deed(bring(file, target, then, look, further))
    },
    dialog: asking && (
      <FileDialog
        key={`${asking.file.name} ${asking.examined.digest}`}
        {...asking}
        further={asking.further.length}
        busy={busy}
        close={() => {
          if (busy) busy.stop()
          else store.deed(next(asking))
        }}
        read={(how, target, made) => store.deed(read({ ...asking, target }, how, made))}
      />
    ),
  }
}
