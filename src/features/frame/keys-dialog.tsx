'use client'
import { Button, Modal, Switch } from 'antd'
import { useState } from 'react'
import { keyName, keyOf, useAllActions, useRegistry, type OwnKeys } from '@/page/actions'
import { useStore } from '@/page/provider'
import styles from './keys-dialog.module.css'
import { keySign } from '@/ui/key-sign'

/** The keys of all actions: each can be changed, and all single keys switched off. */
export function KeysDialog() {
  const open = useRegistry((s) => s.keysOpen)
  return (
    <Modal
      open={open}
      title="Keys"
      footer={null}
      destroyOnHidden
      onCancel={() => useRegistry.setState({ keysOpen: false })}
    >
      <KeyList />
    </Modal>
  )
}

function KeyList() {
  const { setSetting, deed } = useStore()
  const actions = useAllActions()
  const own = useRegistry((s) => s.own)
  const [asking, setAsking] = useState<string>()
  const keep = (next: OwnKeys): void => {
    useRegistry.setState({ own: next })
    deed(setSetting('keys', next))
  }
  const taken = (key: string, id: string): string | undefined =>
    actions.find((a) => a.id !== id && keyOf(a, own) === key)?.label
  const [clash, setClash] = useState<string>()
  return (
    <>
      <p className={styles.switch}>
        <Switch
          size="small"
          checked={!own.off}
          aria-label="Single keys do things"
          onChange={(on) => keep({ ...own, off: !on })}
        />{' '}
        Single keys do things while no text is being typed. Switched off, everything is still in the palette
        (Ctrl K), on its button, and in its menu.
      </p>
      {clash && (
        <p className="note" role="alert">
          {clash}
        </p>
      )}
      <table className={styles.keys}>
        <tbody>
          {actions
            .filter((a) => a.key !== undefined)
            .map((a) => (
              <tr key={a.id}>
                <td>{a.label}</td>
                <td>
                  <button
                    className="plain"
                    aria-label={`Change the key of ${a.label}`}
                    onClick={() => setAsking(a.id)}
                    onBlur={() => setAsking(undefined)}
                    onKeyDown={(e) => {
                      if (asking !== a.id || ['Shift', 'Tab', 'Control', 'Alt', 'Meta'].includes(e.key))
                        return
                      e.preventDefault()
                      e.stopPropagation()
                      setAsking(undefined)
                      if (e.key === 'Escape') return
                      const key = keyName(e.nativeEvent)
                      const other = taken(key, a.id)
                      if (other)
                        return setClash(`${keySign(key)} is the key of “${other}”. Change that one first.`)
                      setClash(undefined)
                      keep({ ...own, keys: { ...own.keys, [a.id]: key } })
                    }}
                  >
                    {asking === a.id ? <em>press a key</em> : <kbd>{keySign(keyOf(a, own) ?? '')}</kbd>}
                  </button>
                </td>
              </tr>
            ))}
        </tbody>
      </table>
      <Button size="small" onClick={() => keep({ off: own.off, keys: {} })}>
        Back to the keys as they came
      </Button>
    </>
  )
}
