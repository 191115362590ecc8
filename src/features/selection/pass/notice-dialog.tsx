'use client'
import { useState, type ReactNode } from 'react'
import { noticedTitle, sayNotice } from '@/core/doing'
import { whoAndWhen, type Rec } from '@/core/records'
import type { Work } from '@/core/review'
import { useStore } from '@/page/provider'
import { deskReview, recordsDesk } from '@/workers'
import { ChooseDialog } from '../../shared/choose-dialog'
import type { Selected } from '../use-selected'

/** So many works are offered. */
const OFFERED = 8

/** Saying that a work is a notice on another one of the review: those whose titles hold what it is a notice on are offered. */
export function useNotice(
  { review }: Selected,
  work: Work | undefined,
  record: Rec | undefined,
): { open: () => void; dialog: ReactNode } {
  const { doIt, deed } = useStore()
  const [found, setFound] = useState<{ id: string; record: Rec }[]>()
  const look = async (): Promise<void> => {
    if (!work || !record) return
    const title = noticedTitle(record.title) ?? record.title
    const words = title.match(/[\p{L}\p{N}]{4,}/gu)?.slice(0, 6) ?? []
    const desk = recordsDesk()
    await desk.open(deskReview(review))
    const ids = words.length
      ? await desk.idsOf({ words: words.map((w) => `title: ${w}`).join(' AND '), chosen: {}, leftOut: {} })
      : []
    setFound(await desk.shown(ids.filter((id) => id !== work.id).slice(0, OFFERED)))
  }
  return {
    open: () => deed(look()),
    dialog: (
      <ChooseDialog
        open={found !== undefined}
        title="A notice on which work?"
        choices={(found ?? []).map(({ id, record: r }) => ({
          words: r.title,
          beside: whoAndWhen(r),
          take: () => work && deed(doIt(sayNotice, { notice: work.id, of: id })),
        }))}
        close={() => setFound(undefined)}
      >
        <p className="sub">
          {found?.length
            ? 'It is not read then, and counted as removed before screening; the work says that there is a notice on it.'
            : 'No other work of this review has these words in its title. A notice on a work that is not here is ruled out like any other.'}
        </p>
      </ChooseDialog>
    ),
  }
}
