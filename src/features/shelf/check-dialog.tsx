'use client'
import { Button, Input, Modal } from 'antd'
import { useRef, useState } from 'react'
import { messageOf, thousands } from '@/core/base'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { fileName, saveFile } from '@/ui/save-file'
import { reportText, type Check } from '@/verify/report'
import { callback, longDesk } from '@/workers'
import { CheckReport } from '../shared/hand-on/check-report'

/**
 * A package that somebody was given is checked, before it is opened or without ever being opened: nothing of it is stored.
 * `take` opens it.
 */
export function CheckDialog({ take, close }: { take: (file: File) => void; close: () => void }) {
  const { deed } = useStore()
  const [file, setFile] = useState<File>()
  const [digest, setDigest] = useState('')
  const [checks, setChecks] = useState<readonly Check[]>()
  const [working, setWorking] = useState(false)
  const [failed, setFailed] = useState<string>()
  /** What is told of a file that was chosen before is passed over. */
  const asked = useRef(0)
  const { input, open } = useFilePick('Package to check', '.zip', (chosen) => {
    asked.current++
    setFile(chosen)
    setChecks(undefined)
    setFailed(undefined)
    setWorking(false)
  })
  const check = (of: File): void => {
    const mine = ++asked.current
    const mineStill = <T,>(then: (value: T) => void) => {
      return (value: T): void => {
        if (asked.current === mine) then(value)
      }
    }
    setChecks([])
    setFailed(undefined)
    setWorking(true)
    const told = mineStill((one: Check) => setChecks((before = []) => [...before, one]))
    deed(
      longDesk()
        .verify(of, callback(told), digest.trim() || undefined)
        .then(mineStill(setChecks))
        .catch(mineStill((error: unknown) => setFailed(`It could not be checked: ${messageOf(error)}`)))
        .finally(() => mineStill(setWorking)(false)),
    )
  }
  const done = checks !== undefined && !working && failed === undefined
  return (
    <Modal
      open
      width={620}
      title="Check a package"
      onCancel={close}
      footer={
        <>
          {done && (
            <Button
              onClick={() =>
                saveFile(fileName(`${file!.name} checked`, 'txt'), `${reportText(checks)}\n`, 'text/plain')
              }
            >
              Save the report
            </Button>
          )}
          {file && !working && (
            <Button
              onClick={() => {
                close()
                take(file)
              }}
            >
              Open it
            </Button>
          )}
          {file && (
            <Button type="primary" loading={working} onClick={() => check(file)}>
              {done ? 'Check it again' : 'Check it'}
            </Button>
          )}
        </>
      }
    >
      <div className="check-package">
        <p className="sub">
          The file and its history, the works, the flow, every text and every run in a stand-in are made again
          and compared with what the package says. Nothing of it is stored here.
        </p>
        {input}
        <p>
          {file ? (
            <>
              <b>{file.name}</b> <span className="sub">{thousands(file.size)} bytes</span>{' '}
            </>
          ) : null}
          <Button size={file ? 'small' : 'middle'} onClick={open} autoFocus>
            {file ? 'Another one' : 'Choose the package'}
          </Button>
        </p>
        <label className="check-digest sub">
          A digest of its journal that you were given, in hex or in eight words, if you have one
          <Input value={digest} onChange={(e) => setDigest(e.target.value)} />
        </label>
        {failed && <p role="alert">{failed}</p>}
      </div>
      {checks && !failed && <CheckReport checks={checks} done={done} />}
    </Modal>
  )
}
