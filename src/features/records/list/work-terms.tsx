'use client'
import { Modal } from 'antd'
import { useState, type ReactNode } from 'react'
import { foldLabel } from '@/core/base'
import type { Letter, Term } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { LetterList } from '@/ui/letter-list'
import type { WorkView } from '@/workers'
import { useMarker, type MarkedRecord } from '../../shared/use-marks'
import { putTerms } from '../../shared/term-commands'

interface Offer {
  text: string
  kind: Term['kind']
  /** The source whose heading it is; a keyword is for all. */
  sourceId: string
}

/** Headings and keywords of a work that the grid does not have: by the letter of a concept they go into it. */
export function useWorkTerms(
  work: WorkView | undefined,
  nameOf: (sourceId: string) => string,
): { open: () => void; dialog: ReactNode } {
  const store = useStore()
  const review = useSession((s) => s.folded.review)
  const [shown, setShown] = useState(false)
  const marker = useMarker(review)
  const offers = shown && work ? offersOf(work, review.terms, marker) : []
  const take = (offer: Offer, letter: Letter): void => {
    const concept = review.concepts.find((c) => c.letter === letter)
    if (!concept) return
    putTerms(store, [
      {
        conceptId: concept.id,
        sourceId: offer.sourceId,
        kind: offer.kind,
        expression: offer.text,
        origin: 'harvest',
        from: `in “${work!.record.title.slice(0, 80)}”`,
      },
    ])
  }
  return {
    open: () => setShown(true),
    dialog: (
      <Modal
        open={shown}
        title="Headings and keywords of this work that the grid does not have"
        footer={null}
        width={560}
        onCancel={() => setShown(false)}
        destroyOnHidden
      >
        <div className="work-terms">
          {offers.length ? (
            <LetterList
              id="work-terms"
              label="Headings and keywords of this work"
              autoFocus
              letters={review.concepts.map((c) => c.letter)}
              take={(row, letter) => take(offers[row]!, letter)}
              rows={offers.map((o) => ({
                key: `${o.sourceId} ${o.text}`,
                name: o.text,
                content: (
                  <>
                    <span className={o.kind === 'heading' ? '' : 'mono'}>{o.text}</span>
                    <span className="sub">
                      {o.kind === 'heading' ? `heading of ${nameOf(o.sourceId)}` : 'keyword, for all sources'}
                    </span>
                  </>
                ),
              }))}
            />
          ) : (
            <p className="empty">The grid has all headings and keywords of this work, or it has none.</p>
          )}
        </div>
      </Modal>
    ),
  }
}

/** What the terms of the grid already match, or stand for, is not offered. */
function offersOf(
  work: WorkView,
  terms: readonly Term[],
  marker: (record: WorkView['record']) => MarkedRecord,
): Offer[] {
  const known = new Set(terms.map((t) => `${t.sourceId} ${foldLabel(t.expression)}`))
  const offers = new Map<string, Offer>()
  const add = (offer: Offer): void => {
    const key = `${offer.sourceId} ${foldLabel(offer.text)}`
    if (!known.has(key) && !offers.has(key)) offers.set(key, offer)
  }
  for (const { sourceId, record } of work.records) {
    const marks = marker(record)
    for (const { label } of record.headings)
      if (marks.heading(label) === undefined) add({ text: label, kind: 'heading', sourceId })
  }
  for (const { record } of work.records) {
    const marks = marker(record)
    record.keywords.forEach((text, n) => {
      if (marks.of('keywords', n).length) return
      add({
        text: /\s/.test(text) ? `"${text.toLowerCase()}"` : text.toLowerCase(),
        kind: 'text',
        sourceId: 'all',
      })
    })
  }
  return [...offers.values()]
}
