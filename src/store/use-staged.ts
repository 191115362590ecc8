import { useEffect, useRef, useState } from 'react'
import type { Command } from '@/core/review'
import { commitEdit, stageEdit } from './session'

const STAGE_AFTER = 350
const COMMIT_AFTER = 2500

export interface Staged {
  value: string
  onChange: (event: { target: { value: string } }) => void
  onBlur: () => void
}

/**
 * A text that is typed: shown at once, on disk within half a second, one entry of the journal when the typing rests
 * or the field is left. `key` names the field; `command` makes the command for a text.
 */
export function useStaged(key: string, kept: string, command: (text: string) => Command): Staged {
  const [typed, setTyped] = useState<string>()
  const timers = useRef<{ stage?: ReturnType<typeof setTimeout>; commit?: ReturnType<typeof setTimeout> }>({})
  const latest = useRef({ typed, kept, command })
  useEffect(() => {
    latest.current = { typed, kept, command }
  })

  const finish = useRef((): void => {
    clearTimeout(timers.current.stage)
    clearTimeout(timers.current.commit)
    const { typed: text, kept: before, command: make } = latest.current
    if (text === undefined) return
    if (text !== before) void commitEdit(key, make(text))
    latest.current = { ...latest.current, typed: undefined }
    setTyped(undefined)
  })

  useEffect(() => {
    const end = finish.current
    return end
  }, [])

  return {
    value: typed ?? kept,
    onChange: ({ target: { value } }) => {
      setTyped(value)
      clearTimeout(timers.current.stage)
      clearTimeout(timers.current.commit)
      timers.current.stage = setTimeout(() => void stageEdit(key, latest.current.command(value)), STAGE_AFTER)
      timers.current.commit = setTimeout(() => finish.current(), COMMIT_AFTER)
    },
    onBlur: () => finish.current(),
  }
}
