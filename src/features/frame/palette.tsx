'use client'
import { Input, Modal } from 'antd'
import { useId, useState } from 'react'
import { keyOf, useAllActions, useRegistry } from '@/store/actions'
import { keySign } from '@/ui/key-sign'

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

/** A combobox: the box keeps the focus, the active action is named to whoever listens. */
function PaletteList({ close }: { close: () => void }) {
  const [asked, setAsked] = useState('')
  const [at, setAt] = useState(0)
  const own = useRegistry((s) => s.own)
  const list = useId()
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
  const show = (i: number): void => {
    setAt(i)
    document.getElementById(`${list}-${i}`)?.scrollIntoView({ block: 'nearest' })
  }
  return (
    <>
      <Input
        autoFocus
        value={asked}
        placeholder="Type a word of it"
        aria-label="Search the actions"
        role="combobox"
        aria-expanded="true"
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={actions[at] ? `${list}-${at}` : undefined}
        onChange={(e) => {
          setAsked(e.target.value)
          setAt(0)
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') show(Math.min(at + 1, actions.length - 1))
          else if (e.key === 'ArrowUp') show(Math.max(at - 1, 0))
          else if (e.key === 'Enter') go(at)
          else return
          e.preventDefault()
        }}
      />
      <ul role="listbox" id={list} aria-label="Actions">
        {actions.map((a, i) => {
          const off = a.when ? !a.when() : false
          return (
            <li
              key={a.id}
              id={`${list}-${i}`}
              role="option"
              className="palette-action"
              aria-selected={i === at}
              aria-disabled={off}
              onClick={() => go(i)}
            >
              <span>{a.label}</span>
              {a.key && !own.off && <kbd>{keySign(keyOf(a, own)!)}</kbd>}
            </li>
          )
        })}
      </ul>
      {!actions.length && <p className="empty">Nothing here is called that. Try another word.</p>}
    </>
  )
}
