'use client'
import { Input, Modal } from 'antd'
import { useState } from 'react'
import { useAllActions, useRegistry } from '@/store/actions'
import { keySign } from './strip'

/** Every action, searched by its words. */
export function Palette() {
  const open = useRegistry((s) => s.paletteOpen)
  const close = (): void => useRegistry.setState({ paletteOpen: false })
  return (
    <Modal
      open={open}
      onCancel={close}
      footer={null}
      closable={false}
      destroyOnHidden
      className="palette"
      title="What would you like to do?"
    >
      <PaletteList close={close} />
    </Modal>
  )
}

function PaletteList({ close }: { close: () => void }) {
  const [asked, setAsked] = useState('')
  const [at, setAt] = useState(0)
  const words = asked.toLowerCase().split(/\s+/)
  const actions = useAllActions().filter(
    (a) => a.id !== 'palette' && words.every((w) => a.label.toLowerCase().includes(w)),
  )
  const go = (i: number): void => {
    const action = actions[i]
    if (!action || (action.when && !action.when())) return
    close()
    // The dialog gives the focus back first, so that the action may take it.
    setTimeout(action.run, 30)
  }
  return (
    <>
      <Input
        autoFocus
        value={asked}
        placeholder="Type a word of it"
        aria-label="Search the actions"
        onChange={(e) => {
          setAsked(e.target.value)
          setAt(0)
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt(Math.min(at + 1, actions.length - 1))
          else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0))
          else if (e.key === 'Enter') go(at)
          else return
          e.preventDefault()
        }}
      />
      <ul role="listbox" aria-label="Actions">
        {actions.map((a, i) => (
          <li key={a.id} role="presentation">
            <button
              className="plain"
              role="option"
              aria-selected={i === at}
              disabled={a.when ? !a.when() : false}
              onClick={() => go(i)}
            >
              <span>{a.label}</span>
              {a.key && <kbd>{keySign(a.key)}</kbd>}
            </button>
          </li>
        ))}
      </ul>
      {!actions.length && <p className="empty">Nothing here is called that. Try another word.</p>}
    </>
  )
}
