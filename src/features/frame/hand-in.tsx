'use client'
import { App, Button, Modal } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { HandedKind } from '@/core/handed'
import { sourceInfo } from '@/standins/source-info'
import { reviewAddress } from '@/page/address'
import { handIn } from '@/page/handed-in'
import { useSession, useStore } from '@/page/provider'
import { openSheet } from '@/page/whereabouts'
import { openDialog } from '@/ui/open-dialog'
import { useFileDrop } from '@/ui/use-file-drop'
import { longDesk } from '@/workers'
import css from './hand-in.module.css'
import { usePasteAnywhere } from './use-paste-anywhere'

type Files = readonly [File, ...File[]]
/** The stage at which each kind is taken in. */
const STAGE: Record<Exclude<HandedKind, 'package' | 'side'>, string> = {
  records: 'records',
  style: 'records',
  history: 'searches',
  vocabulary: 'terms',
  description: 'question',
  known: 'question',
}

/** Whatever is dropped or pasted anywhere is recognised and led to its place, with one question at most. */
export function HandIn({ reviewId, reading }: { reviewId: string; reading: boolean }) {
  const store = useStore()
  const { deed } = store
  const review = useSession((s) => s.folded.review)
  const { message } = App.useApp()
  const router = useRouter()
  const [asked, setAsked] = useState<Files>()
  const databases = review.sources.filter((s) => s.kind === 'database' || s.kind === 'catalogue')

  const warn = (words: string): void => {
    message.warning(words, 12)
  }
  const hand = (kind: HandedKind, files: Files): void =>
    handIn({ kind, files }, () =>
      warn(`${files[0].name} found no place that takes it here, and nothing was done with it.`),
    )
  const lead = (kind: keyof typeof STAGE, files: Files): void => {
    hand(kind, files)
    router.push(reviewAddress(reviewId, STAGE[kind]))
  }
  const ofDatabase = (files: Files, sourceId: string): void => {
    setAsked(undefined)
    openSheet(sourceId)
    lead('history', files)
  }
  const side = async (file: File): Promise<void> => {
    const { takeSideFile } = await import('../shared/side-files/take-side')
    message.success(await takeSideFile(store, file), 6)
  }
  const go = async (kind: HandedKind, files: Files): Promise<void> => {
    if (kind === 'side') return side(files[0])
    if (kind === 'package') {
      hand(kind, files)
      return router.push('/')
    }
    if (kind !== 'history') return lead(kind, files)
    const [only, ...others] = databases
    if (!only)
      warn(
        'This is a search history, and no database is planned yet that it could be of. Add one under Question, then hand it in again.',
      )
    else if (others.length) setAsked(files)
    else ofDatabase(files, only.id)
  }
  const take = async (files: Files): Promise<void> => {
    // What stands beside the work, the guide or the journal, asks nothing.
    if (openDialog()) return warn('Answer the dialog that is open first; then hand this in again.')
    if (reading) return warn('This copy is for reading: nothing else is taken into it.')
    const [first, ...further] = files
    const desk = longDesk()
    const is = await desk.recognise(first)
    if (is.kind === undefined) return warn(`${first.name}: ${is.words}`)
    const alike: [File, ...File[]] = [first]
    const apart: string[] = []
    for (const file of further) {
      const other = await desk.recognise(file)
      if (is.kind === 'records' && other.kind === 'records') alike.push(file)
      else apart.push(file.name)
    }
    if (apart.length) warn(`One thing at a time: hand ${apart.join(', ')} in again when this is done.`)
    await go(is.kind, alike)
  }
  const over = useFileDrop((files) => deed(take(files)))
  usePasteAnywhere((files) => deed(take(files)))
  return (
    <>
      {over && (
        <div className={css.over} role="status">
          Let go anywhere: records, search histories, vocabularies, descriptions of databases, packages,
          readers’ files, citation styles and lists of DOIs find their place.
        </div>
      )}
      {asked && (
        <Modal
          open
          title="Of which database is this history?"
          onCancel={() => setAsked(undefined)}
          footer={<Button onClick={() => setAsked(undefined)}>Leave it</Button>}
        >
          <div className={css.choice}>
            {databases.map((s, n) => (
              <Button key={s.id} autoFocus={n === 0} onClick={() => ofDatabase(asked, s.id)}>
                {sourceInfo(review, s).short}
              </Button>
            ))}
          </div>
        </Modal>
      )}
    </>
  )
}
