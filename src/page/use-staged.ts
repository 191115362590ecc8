import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import type { Command } from '@/core/review'
import { useStore } from './provider'
import { leaveField } from './leave-field'

/** An edit is finished when the typing has rested for so long, in milliseconds. */
const COMMIT_AFTER = 2500

export interface Staged {
  value: string
  onChange: (event: { target: { value: string } }) => void
  /** Finishes the edit; false where the journal refused it, and the text has to stay. */
  onBlur: () => boolean
  /** Enter and Escape leave every such field in the same way. Ctrl+Z is the field's own. */
  onKeyDown: (event: KeyboardEvent<HTMLElement>) => void
}

/**
 * A text that is typed: shown at once, on disk within 350 ms, one entry of the journal when the typing rests or the
 * field is left. `key` names the field; `command` makes the command for a text. A text that the journal refuses stays
 * in the field, and the strip says why.
 */
export function useStaged(key: string, kept: string, command: (text: string) => Command): Staged {
  const { typeEdit, commitEdit, discardEdit, deed, refuse, understood } = useStore()
  const [typed, setTyped] = useState<string>()
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const latest = useRef({ typed, kept, command })
  useEffect(() => {
    latest.current = { ...latest.current, kept, command }
  })

  const finish = useRef((): boolean => {
    clearTimeout(timer.current)
    const { typed: text, kept: before, command: make } = latest.current
    if (text === undefined) return true
    const done = (): boolean => {
      latest.current = { ...latest.current, typed: undefined }
      setTyped(undefined)
      return true
    }
    if (text === before) {
      deed(discardEdit(key))
      return done()
    }
    try {
      deed(commitEdit(key, make(text)))
      understood()
      return done()
    } catch (error) {
      refuse(error)
      return false
    }
  })

  useEffect(() => {
    const end = finish.current
    return () => {
      end()
    }
  }, [])

  return {
    value: typed ?? kept,
    onChange: ({ target: { value } }) => {
      latest.current = { ...latest.current, typed: value }
      setTyped(value)
      typeEdit(key, command(value))
      clearTimeout(timer.current)
      timer.current = setTimeout(() => finish.current(), COMMIT_AFTER)
    },
    onBlur: () => finish.current(),
    onKeyDown: (event) => {
      if (event.key !== 'Enter' && event.key !== 'Escape') return
      event.preventDefault()
      leaveField(event.currentTarget)
    },
  }
}
