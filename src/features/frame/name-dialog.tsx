'use client'
import { Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { useSession, useStore } from '@/store/provider'

/** Asks who is working here: before the first ruling, for a ruling is somebody's, and before a review is handed on. */
export function NameDialog() {
  const asks = useSession((s) => s.asksName)
  return asks ? <Ask go={asks.then} why={asks.why} /> : null
}

function Ask({ go, why }: { go: () => void; why: 'rule' | 'hand on' }) {
  const { nameGiven, setReader, deed } = useStore()
  const [name, setName] = useState('')
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
      title={why === 'rule' ? 'Who is reading?' : 'Whose work is this?'}
      okText={why === 'rule' ? 'Rule as this reader' : 'Save it in this name'}
      okButtonProps={{ disabled: !name.trim() }}
      onOk={done}
      onCancel={nameGiven}
      footer={(_, { OkBtn }) => (
        <>
          <Button onClick={leave}>{why === 'rule' ? 'Not now' : 'Save it without a name'}</Button>
          <OkBtn />
        </>
      )}
    >
      <p className="sub">
        {why === 'rule'
          ? 'A ruling is somebody’s: it is kept with your name, so that two readers can be compared. The name stays in this browser and in what you hand on.'
          : 'What you did in this review is kept under a number. With a name, whoever opens the package sees whose work it is.'}
      </p>
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
