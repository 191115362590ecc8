'use client'
import { App } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { useStore } from '@/store/provider'
import { longDesk, type FileExamined, type FileHow } from '@/workers'
import { bringFile, isPlain, remember, remembered, type FileBrought, type Target } from './bring-file'
import { FileDialog } from './file-dialog'

interface Asking {
  file: File
  examined: FileExamined
  target: Target
  then: Then
}
type Then = (brought: FileBrought) => void

/**
 * Bringing files in: at once where a file leaves nothing open, after a look at its first lines where it does. `dialog` is to
 * be placed somewhere; `look` has every file looked at first.
 */
export function useBringFile(): {
  bring: (file: File, target: Target, then: Then, look?: boolean) => void
  dialog: ReactNode
} {
  const store = useStore()
  const { message } = App.useApp()
  const [asking, setAsking] = useState<Asking>()
  const [busy, setBusy] = useState<{ words: string; stop: () => void }>()
  const read = async ({ file, target, then }: Omit<Asking, 'examined'>, how: FileHow): Promise<void> => {
    let stopped = false
    const stop = (): void => {
      stopped = true
    }
    setBusy({ words: 'Reading …', stop })
    try {
      const brought = await bringFile(store, file, how, target, (words) => {
        setBusy({ words, stop })
        return !stopped
      })
      setAsking(undefined)
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
  const bring = async (file: File, target: Target, then: Then, look: boolean): Promise<void> => {
    const examined = await longDesk().examine(file, { remembered: await remembered(store) })
    if (look || !isPlain(examined)) return setAsking({ file, examined, target, then })
    await read(
      { file, target, then },
      { encoding: examined.encoding, shape: examined.shape!, name: examined.digest.slice(0, 8) },
    )
  }
  return {
    bring: (file, target, then, look = false) => store.deed(bring(file, target, then, look)),
    dialog: asking && (
      <FileDialog
        {...asking}
        busy={busy}
        close={() => {
          busy?.stop()
          setAsking(undefined)
        }}
        read={(how, target) => store.deed(read({ ...asking, target }, how))}
      />
    ),
  }
}
