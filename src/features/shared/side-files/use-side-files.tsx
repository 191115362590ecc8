'use client'
import { App } from 'antd'
import type { ReactNode } from 'react'
import { nameOfPerson, ownSide, sideBytes } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { fileName, saveFile } from '@/ui/save-file'
import { takeSideFile } from './take-side'

/**
 * The file that goes between two people of one review: what one of them ruled and said of the searches. It is saved as a
 * whole and taken in as a whole, as often as they like, in any order.
 */
export function useSideFiles(what: string): { give: () => void; take: () => void; input: ReactNode } {
  const store = useStore()
  const { inName, deed, nameMe } = store
  const { message } = App.useApp()
  const file = useFilePick('A reader’s file', '.json,.luvren.json', (chosen) =>
    deed(takeSideFile(store, chosen).then((words) => message.success(words, 6))),
  )
  const person = useSession((s) => s.person)
  const give = (): void =>
    inName(
      () =>
        deed(
          nameMe().then(() => {
            const { entries, folded } = store.session.getState()
            const side = ownSide(entries, person)
            if (!side) throw new Error('You have not ruled or said anything in this review yet.')
            const name = `${folded.review.title} ${what} ${nameOfPerson(folded.review, person)}`
            saveFile(fileName(name, 'luvren.json'), sideBytes(side) as BlobPart, 'application/json')
          }),
        ),
      'hand on',
    )
  return { give, take: file.open, input: file.input }
}
