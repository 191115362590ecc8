'use client'
import { Button, Modal, Radio, Select } from 'antd'
import { useMemo, useState } from 'react'
import { dateWords } from '@/core/account'
import { BACKUP_RHYTHMS, namesInTexts, type BackupRhythm } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { namedWorks, useNamedWorks } from '../named-works'
import { setRhythm, useBackup } from './backup'
import { CheckReport } from './check-report'
import { LeaveOut, type Leave } from './leave-out'
import { NamesLeft, textKey } from './names-left'
import { rescuePackage } from './save-package'
import { usePacking, type HandedOn, type ToRead } from './use-packing'
import './hand-on.css'

const RHYTHMS = (Object.keys(BACKUP_RHYTHMS) as BackupRhythm[]).map((value) => ({ value, label: value }))

export default function HandOn({ close }: { close: () => void }) {
  const store = useStore()
  const review = useSession((s) => s.folded.review)
  const { rhythm, last } = useBackup()
  const named = namedWorks(review)
  const [as, setAs] = useState<'review' | 'plan'>('review')
  const [left, setLeft] = useState<readonly Leave[]>([])
  // Works for another reader, who is shown these and nothing else.
  const [toRead, setToRead] = useState<ToRead>({
    which: 'all',
    pass: 'broad',
  })
  const forReader = as === 'review' && left.includes('rulings')
  // Texts that hold a name go on only where somebody said so, of each.
  const nameless = as === 'review' && left.includes('names')
  const texts = useMemo(() => (nameless ? namesInTexts(review) : []), [nameless, review])
  const [agreed, setAgreed] = useState<readonly string[]>([])
  const asksOf = texts.filter((t) => !agreed.includes(textKey(t))).length
  const asked = useNamedWorks(review, forReader && toRead.which !== 'all' ? toRead.which : undefined)
  const packing: HandedOn = { review, as, left, forReader, toRead, asked, named }
  const { work, failed, checks, save, verify, leave } = usePacking(packing, close)
  return (
    <Modal
      open
      width={620}
      title="Hand the review on"
      okText="Save it"
      okButtonProps={{ autoFocus: true, loading: work !== undefined, disabled: asksOf > 0 }}
      onOk={save}
      onCancel={leave}
      footer={(_, { OkBtn }) => (
        <>
          <Button disabled={work !== undefined} onClick={verify}>
            Check it first
          </Button>
          <OkBtn />
        </>
      )}
    >
      <p className="sub">
        One file with the record, the section and its evidence. Whoever has it can open, check and run it
        again; without Luvren they open its page in a browser.
      </p>
      <Radio.Group className="hand-on-as" value={as} onChange={(e) => setAs(e.target.value as typeof as)}>
        <Radio value="review">The review: for a co-author, a supervisor, or as a backup</Radio>
        <LeaveOut {...{ packing, setLeft, setToRead }} />
        {texts.length > 0 && <NamesLeft texts={texts} agreed={agreed} agree={setAgreed} />}
        <Radio value="plan">Its plan only: for the next review, or for a class</Radio>
      </Radio.Group>
      <p className="sub">
        {last
          ? `It was saved as a whole last on ${dateWords(last.at)}. `
          : 'It was not saved as a whole here yet. '}
        Remind me
        <Select
          size="small"
          variant="borderless"
          aria-label="How often to be reminded of a backup"
          popupMatchSelectWidth={false}
          value={rhythm}
          options={RHYTHMS}
          onChange={(value: BackupRhythm) => store.deed(setRhythm(store, value))}
        />
      </p>
      {work && (
        <p className="sub" role="status">
          {work} …
        </p>
      )}
      {failed && (
        <p role="alert">
          {failed}{' '}
          <button className="plain link" onClick={() => store.deed(rescuePackage(store))}>
            save the record alone, without the files for people
          </button>
        </p>
      )}
      {checks && <CheckReport checks={checks} done={work === undefined} />}
    </Modal>
  )
}
