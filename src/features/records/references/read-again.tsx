'use client'
import { App, Button, Modal } from 'antd'
import { useState } from 'react'
import { plural, thousands } from '@/core/base'
import { changedFields, READER_VERSION, type Encoding, type ReadAgain, type Shape } from '@/core/records'
import type { Import } from '@/core/review'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { longDesk } from '@/workers'
import { bringFile } from '../../shared/bring-file/bring-file'

/** Was a file read by an older reader, and can it be read again as it was? */
export const canReadAgain = ({ file, mended }: Import): boolean =>
  file?.shape !== undefined && (file.reader ?? 1) < READER_VERSION && !mended?.length

const SHOWN = 40

/** What the reader of now makes otherwise of a file that was brought in; nothing changes until it is taken. */
export function ReadAgainDialog({ of, close }: { of: Import; close: () => void }) {
  const store = useStore()
  const { message } = App.useApp()
  const [busy, setBusy] = useState(false)
  const file = of.file!
  const { value: again, failed } = useAsked(() => longDesk().readAgain(of), [of])
  const take = async (): Promise<void> => {
    setBusy(true)
    try {
      const bytes = await store.bytesOf(file.digest)
      const source = store.session.getState().folded.review.sources.find((s) => s.id === of.sourceId)
      if (!bytes || !source) throw new Error(`The file ${file.name} is not in this browser.`)
      const brought = await bringFile(
        store,
        new File([bytes as BlobPart], file.name),
        {
          encoding: (file.encoding ?? 'utf-8') as Encoding,
          shape: JSON.parse(file.shape!) as Shape,
          name: file.digest.slice(0, 8),
        },
        { source, place: { again: of.id }, ...(of.runId === undefined ? {} : { runId: of.runId }) },
        () => true,
      )
      if (brought)
        message.success(`${plural(brought.count, 'record')} of ${file.name} stand as they are read now.`)
      close()
    } finally {
      setBusy(false)
    }
  }
  const none = again && !again.changed.length && !again.gone.length && !again.came.length
  return (
    <Modal
      open
      width={760}
      title={`${file.name}, read again`}
      onCancel={close}
      footer={
        <>
          <Button onClick={close}>Leave it as it is</Button>
          <Button type="primary" disabled={!again || none || busy} onClick={() => store.deed(take())}>
            Take what is read now
          </Button>
        </>
      }
    >
      {failed !== undefined ? (
        <p className="note">{failed}</p>
      ) : !again ? (
        <p className="sub">Reading the file again …</p>
      ) : none ? (
        <p>The reader of now reads the same in it.</p>
      ) : (
        <Differences again={again} />
      )}
    </Modal>
  )
}

function Differences({ again }: { again: ReadAgain }) {
  return (
    <>
      <p>
        {changedFields(again)
          .map(({ label, records }) => `${label} of ${plural(records, 'record')}`)
          .join(', ')}
        {again.gone.length > 0 && `; ${plural(again.gone.length, 'record')} can no longer be read`}
        {again.came.length > 0 && `; ${plural(again.came.length, 'record')} can be read that could not`}.
      </p>
      <div className="read-again">
        {again.changed.slice(0, SHOWN).map(({ position, title, changes }) => (
          <p key={position}>
            <b>{title || `record ${position}`}</b>
            {changes.map((c) => (
              <span key={c.label} className="sub">
                {c.label}: {c.before || 'nothing'} → {c.after || 'nothing'}
              </span>
            ))}
          </p>
        ))}
        {again.changed.length > SHOWN && (
          <p className="sub">and {thousands(again.changed.length - SHOWN)} more</p>
        )}
      </div>
      <p className="sub">
        Records keep their place, and what was ruled of their works holds. Undo brings the old reading back.
      </p>
    </>
  )
}
