'use client'
import { Modal } from 'antd'
import { keyOf, useAllActions, useRegistry } from '@/page/actions'
import { keySign } from '@/ui/key-sign'
import { ComboList } from './combo-list'

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
  const own = useRegistry((s) => s.own)
  const items = useAllActions()
    .filter((a) => a.id !== 'palette')
    .map((a) => ({
      id: a.id,
      words: a.label,
      off: a.when ? !a.when() : false,
      run: a.run,
      shown: (
        <>
          <span>{a.label}</span>
          {a.key && !own.off && <kbd>{keySign(keyOf(a, own)!)}</kbd>}
        </>
      ),
    }))
  return (
    <ComboList
      items={items}
      label="Search the actions"
      placeholder="Type a word of it"
      of="Actions"
      none="Nothing here is called that. Try another word."
      go={({ run }) => {
        close()
        // The dialog gives the focus back first, so that the action may take it.
        setTimeout(run, 30)
      }}
    />
  )
}
