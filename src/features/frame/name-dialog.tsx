'use client'
import { Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { useSession, useStore } from '@/store/provider'
import type { NameWhy } from '@/store/store'

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
}

/** Asks who is working here: before the first ruling or comment, which are somebody's, and before a review is handed on. */
export function NameDialog() {
  const asks = useSession((s) => s.asksName)
  return asks ? <Ask go={asks.then} why={asks.why} /> : null
}

function Ask({ go, why }: { go: () => void; why: NameWhy }) {
  const { nameGiven, setReader, deed } = useStore()
  const [name, setName] = useState('')
  const asked = ASKED[why]
  const done = (): void => {
    if (!name.trim()) return
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
      footer={(_, { OkBtn }) => (
        <>
          <Button onClick={leave}>{asked.leave}</Button>
          <OkBtn />
        </>
      )}
    >
      <p className="sub">{asked.words}</p>
      <Input
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
