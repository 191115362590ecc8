'use client'
import { Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { messageOf, plural } from '@/core/base'
import { FORMAT_WORDS, type FormatId } from '@/core/records'
import { standingImports, type Import } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { longDesk } from '@/workers'
import { mend } from '../../shared/tell-apart'
import { useSourceNames } from '../use-desk'
import { canReadAgain, ReadAgainDialog } from './read-again'

const wordsFor = (format: string): string =>
  Object.hasOwn(FORMAT_WORDS, format) ? FORMAT_WORDS[format as FormatId] : format

interface Mending {
  of: Import
  position: number
  text: string
}

/** The files that records came from, and what in them could not be read: it can be mended and takes its own place. */
export function Files() {
  const review = useSession((s) => s.folded.review)
  const { deed } = useStore()
  const { nameOf } = useSourceNames(review)
  const [mending, setMending] = useState<Mending>()
  const [again, setAgain] = useState<Import>()
  const own = standingImports(review).filter((i) => i.file)
  if (!own.length) return null
  const open = async (of: Import, position: number): Promise<void> =>
    setMending({ of, position, text: (await longDesk().brokenText(of.file!, position)) ?? '' })
  return (
    <>
      <h3>Files brought in</h3>
      {own.map((i) => (
        <div key={i.id} className="sub">
          {i.file!.name}: {plural(i.count, 'record')} for {nameOf(i.sourceId)}
          {i.file!.format && `, read as ${wordsFor(i.file!.format)}`}
          {canReadAgain(i) && (
            <>
              , by an older reader{' '}
              <button className="plain link" onClick={() => setAgain(i)}>
                see what the newer makes of it
              </button>
            </>
          )}
          {i.mended && `, ${plural(i.mended.length, 'record')} of them mended`}
          {i.broken?.map((b) => (
            <p key={b.position} className="file-problem">
              Record {b.position} is not in it. {b.why}{' '}
              <button className="plain link" onClick={() => deed(open(i, b.position))}>
                mend it
              </button>
            </p>
          ))}
        </div>
      ))}
      {again && <ReadAgainDialog of={again} close={() => setAgain(undefined)} />}
      {mending && <MendDialog key={mending.position} {...mending} close={() => setMending(undefined)} />}
    </>
  )
}

/** The text of a broken record, to be mended and read again. */
function MendDialog({ of, position, text, close }: Mending & { close: () => void }) {
  const store = useStore()
  const [now, setNow] = useState(text)
  const [said, setSaid] = useState<string>()
  const [busy, setBusy] = useState(false)
  const read = async (): Promise<void> => {
    setBusy(true)
    try {
      const { record, problems } = await longDesk().readMended(of.file!, now)
      if (!record) return setSaid(problems.map((p) => p.message).join(' '))
      await mend(store, of.id, position, record)
      close()
    } catch (error) {
      setSaid(messageOf(error))
    } finally {
      setBusy(false)
    }
  }
  return (
    <Modal
      open
      width={680}
      title={`Record ${position} of ${of.file!.name}`}
      onCancel={close}
      footer={
        <>
          <Button onClick={close}>Leave it</Button>
          <Button type="primary" disabled={busy} onClick={() => store.deed(read())}>
            Read it again
          </Button>
        </>
      }
    >
      <p className="sub">
        As it stands in the file, which stays as it is. What is mended here takes its place.
      </p>
      <Input.TextArea
        aria-label="Text of the record"
        className="mono"
        autoSize={{ minRows: 4, maxRows: 16 }}
        value={now}
        onChange={(e) => setNow(e.target.value)}
      />
      {said !== undefined && <p className="note">{said}</p>}
    </Modal>
  )
}
