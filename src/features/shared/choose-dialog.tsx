'use client'
import { Button, Input, Modal, type InputRef } from 'antd'
import { useEffect, useEffectEvent, useRef, useState, type ReactNode } from 'react'
import css from './choose-dialog.module.css'

export interface Choice {
  words: string
  /** What is told beside it, more quietly. */
  beside?: string
  take: () => void
}

/** A question with a few answers, each by a digit; in the place of them, by 0, words of one's own. */
export function ChooseDialog({
  open,
  title,
  children,
  choices,
  other,
  close,
}: {
  open: boolean
  title: string
  children?: ReactNode
  choices: readonly Choice[]
  other?: { label: string; placeholder: string; take: (words: string) => void }
  close: () => void
}) {
  const list = useRef<HTMLDivElement>(null)
  const input = useRef<InputRef>(null)
  const [words, setWords] = useState('')
  const done = (take: () => void): void => {
    setWords('')
    close()
    take()
  }
  const pressed = useEffectEvent((event: KeyboardEvent): void => {
    if (event.target instanceof HTMLInputElement || event.ctrlKey || event.altKey || event.metaKey) return
    const choice = /^[1-9]$/.test(event.key) ? choices[Number(event.key) - 1] : undefined
    if (choice) {
      event.preventDefault()
      done(choice.take)
    } else if (event.key === '0' && other) {
      event.preventDefault()
      input.current?.focus()
    }
  })
  // The question is seen before the focus has come to it: a digit that is pressed then is meant for it, and for nothing behind.
  useEffect(() => {
    if (!open) return
    window.addEventListener('keydown', pressed, true)
    return () => window.removeEventListener('keydown', pressed, true)
  }, [open])
  return (
    <Modal
      open={open}
      title={title}
      footer={null}
      width={500}
      onCancel={close}
      destroyOnHidden
      // Whoever is quick is in the field already when the dialog has come to rest: the focus stays where it was put.
      afterOpenChange={(opened) => {
        if (opened && !list.current?.contains(document.activeElement)) list.current?.focus()
      }}
    >
      <div className={css.choices} ref={list} tabIndex={-1}>
        {children}
        {choices.map((c, n) => (
          <p key={c.words}>
            <Button size="small" onClick={() => done(c.take)}>
              {c.words}
              {n < 9 && <kbd>{n + 1}</kbd>}
            </Button>
            {c.beside && <span className="sub"> {c.beside}</span>}
          </p>
        ))}
        {other && (
          <p className={css.other}>
            <Input
              ref={input}
              placeholder={other.placeholder}
              aria-label={other.label}
              value={words}
              onChange={(e) => setWords(e.target.value)}
              onPressEnter={() => words.trim() && done(() => other.take(words.trim()))}
            />
            <kbd>0</kbd>
          </p>
        )}
      </div>
    </Modal>
  )
}
