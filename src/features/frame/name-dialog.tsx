'use client'
import { Input, Modal } from 'antd'
import { useState } from 'react'
import { useSession, useStore } from '@/store/provider'

/** Asks who is reading, before the first ruling: a ruling is somebody's. */
export function NameDialog() {
  const asks = useSession((s) => s.asksName)
  return asks ? <Ask go={asks.then} /> : null
}

function Ask({ go }: { go: () => void }) {
  const { nameGiven, setReader, deed } = useStore()
  const [name, setName] = useState('')
  const done = (): void => {
    if (!name.trim()) return
    deed(setReader(name.trim()))
    nameGiven()
    go()
  }
  return (
    <Modal
      open
      title="Who is reading?"
      okText="Rule as this reader"
      okButtonProps={{ disabled: !name.trim() }}
      cancelText="Not now"
      onOk={done}
      onCancel={nameGiven}
    >
      <p className="sub">
        A ruling is somebody’s: it is kept with your name, so that two readers can be compared. The name stays
        in this browser and in what you hand on.
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
