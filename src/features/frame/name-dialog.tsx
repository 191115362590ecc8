'use client'
import { Button, Input, Modal, type InputRef } from 'antd'
import { useRef, useState } from 'react'
import { plural } from '@/core/base'
import type { Known } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { NameWhy } from '@/store/store'
import css from './name-dialog.module.css'

/** What is asked, and what for. */
const ASKED: Record<NameWhy, { title: string; ok: string; leave: string; words: string }> = {
  rule: {
    title: 'Who is reading?',
    ok: 'Rule as this reader',
    leave: 'Not now',
    words:
      'A ruling is somebody’s: it is kept with your name, so that two readers can be compared. The name stays in this browser and in what you hand on.',
  },
  say: {
    title: 'Who says this?',
    ok: 'Say it in this name',
    leave: 'Not now',
    words:
      'What is said here is somebody’s: it is kept with your name, so that whoever reads it knows whom to ask. The name stays in this browser and in what you hand on.',
  },
  'hand on': {
    title: 'Whose work is this?',
    ok: 'Save it in this name',
    leave: 'Save it without a name',
    words:
      'What you did in this review is kept under a number. With a name, whoever opens the package sees whose work it is.',
  },
  open: {
    title: 'Who are you here?',
    ok: 'Work as somebody new',
    leave: 'Not now',
    words: '',
  },
}

/** Asks who is working here: before the first ruling or comment, which are somebody's, and before a review is handed on. */
export function NameDialog() {
  const asks = useSession((s) => s.asksName)
  if (!asks) return null
  const { then, why, known } = asks
  return <Ask key={known ? 'who' : 'name'} go={then} why={why} known={known} />
}

function Ask({ go, why, known }: { go: () => void; why: NameWhy; known: readonly Known[] | undefined }) {
  const { nameGiven, setReader, iAm, deed } = useStore()
  const reader = useSession((s) => s.reader)
  const [name, setName] = useState(reader)
  const input = useRef<InputRef>(null)
  const asked = ASKED[known ? 'open' : why]
  const as = (who: Known | 'new', called?: string): void => {
    deed(
      iAm(who).then(async () => {
        if (called !== undefined) await setReader(called)
        nameGiven()
        go()
      }),
    )
  }
  const done = (): void => {
    if (!name.trim()) return
    if (known) return as('new', name.trim())
    deed(setReader(name.trim()))
    nameGiven()
    go()
  }
  const leave = (): void => {
    nameGiven()
    if (why === 'hand on') go()
  }
  return (
    <Modal
      open
      title={asked.title}
      okText={asked.ok}
      okButtonProps={{ disabled: !name.trim() }}
      onOk={done}
      onCancel={nameGiven}
      afterOpenChange={(shown) => shown && input.current?.focus()}
      footer={(_, { OkBtn }) => (
        <>
          <Button onClick={leave}>{known && why === 'hand on' ? ASKED['hand on'].leave : asked.leave}</Button>
          <OkBtn />
        </>
      )}
    >
      {known ? (
        <div className={css.known}>
          <p className="sub">
            Others worked on this review in another browser. Are you one of them? Then what you do here is
            told as that person’s, and nobody is counted twice.
          </p>
          {known.map((k) => (
            <p key={k.id}>
              <Button size="small" onClick={() => as(k)}>
                I am {k.name ?? 'the one who has no name yet'}
              </Button>
              <span className="sub"> {k.deeds ? plural(k.deeds, 'deed') : 'named here'}</span>
            </p>
          ))}
          <p className="sub">Or somebody new, who is called</p>
        </div>
      ) : (
        <p className="sub">{asked.words}</p>
      )}
      <Input
        ref={input}
        autoFocus
        aria-label="Your name as a reader"
        value={name}
        maxLength={80}
        onChange={(e) => setName(e.target.value)}
        onPressEnter={done}
      />
    </Modal>
  )
}
