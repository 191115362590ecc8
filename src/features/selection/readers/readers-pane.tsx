'use client'
import { Button } from 'antd'
import { nameOfPerson } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import { KeyHint } from '../../shared/key-hint'
import { handOn } from '../../shared/hand-on/hand-on-dialog'
import { useSideFiles } from '../../shared/side-files/use-side-files'
import type { Selected } from '../use-selected'
import { AllAgreements } from './agreements'
import { Reading } from './reading'
import { Who } from './who'

/** Between readers: who reads what, how far they agree, and files that go between them. */
export function ReadersPane({ selected }: { selected: Selected }) {
  const store = useStore()
  const files = useSideFiles('rulings')
  const actions: Action[] = [
    { id: 'reading-give', label: 'Save my rulings as a file', key: 'S', strip: true, run: files.give },
    ...(selected.reading
      ? []
      : [{ id: 'reading-take', label: 'Take a reader’s file in', key: 'A', strip: true, run: files.take }]),
  ]
  useActions('pane', 'readers', actions)
  return (
    <div className="readers">
      <p className="readers-files">
        <Button size="small" onClick={files.give}>
          Save my rulings as a file
          <KeyHint of="reading-give" />
        </Button>
        {!selected.reading && (
          <Button size="small" onClick={files.take}>
            Take a reader’s file in
            <KeyHint of="reading-take" />
          </Button>
        )}
        {files.input}
        <span className="sub">
          {selected.reading ? (
            'What you ruled goes back as a file, as often as you like: whoever asked takes it in.'
          ) : (
            <>
              A second reader is handed this review without rulings, reads what they are asked to in their own
              Luvren, and sends their file back: as often as they like, in any order.{' '}
              <button className="plain link" onClick={() => handOn(store)}>
                Hand it on
              </button>
            </>
          )}
        </span>
      </p>
      <Who selected={selected} />
      {!selected.reading && (
        <>
          <Reading selected={selected} />
          <AllAgreements selected={selected} called={(id) => nameOfPerson(selected.review, id)} />
        </>
      )}
    </div>
  )
}
