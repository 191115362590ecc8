'use client'
import { dropKnown, nameKnown } from '@/core/doing'
import { Button } from 'antd'
import { useEffect, useMemo } from 'react'
import type { KnownItem, Review } from '@/core/review'
import { whoAndWhen } from '@/core/records'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useStaged } from '@/page/use-staged'
import { useAsked } from '@/page/use-asked'
import { wordDesk } from '@/workers'
import { later } from '@/ui/later'
import { KeyHint } from '../shared/key-hint'
import { askedOf } from '../shared/known-item'

/** The box for anything that names works, with all that reads it. */
const KnownPaste = later(() => import('./known-paste').then((m) => m.KnownPaste))

/** By item: the short names of the planned databases that hold it; a database that has not answered yet is missing. */
export interface Holders {
  names: ReadonlyMap<string, readonly string[]>
  /** Titles of records, for items that were pasted as a bare DOI. */
  titles: ReadonlyMap<string, string>
  asked: number
}

/** The records that a good search must find, and which of the planned databases hold them. */
export function KnownItems({
  review,
  sources,
  pasting,
  setPasting,
}: {
  review: Review
  sources: readonly SourceInfo[]
  pasting: boolean
  setPasting: (open: boolean) => void
}) {
  const { deed, doIt } = useStore()
  const holders = useHolders(review.knownItems, sources)
  // An item that was typed as a bare DOI takes its title from a source that holds it, once.
  const { knownItems } = review
  useEffect(() => {
    for (const item of knownItems) {
      const title = item.title ? undefined : holders.titles.get(item.id)
      if (title) deed(doIt(nameKnown, { item, title }))
    }
  }, [knownItems, holders.titles, doIt, deed])
  return (
    <section aria-labelledby="known-head" data-anchor="known" className="above-4">
      <h2 id="known-head">Known items: what a good search must find</h2>
      {review.knownItems.map((item) => (
        <KnownRow key={item.id} item={item} holders={holders} />
      ))}
      {!review.knownItems.length && !pasting && (
        <p className="empty">
          A few works that you know belong to the review. Searches are tested against them later, and words
          are harvested from them. Paste DOIs, RIS, BibTeX or references as they stand in a text.
        </p>
      )}
      {pasting ? (
        <KnownPaste review={review} close={() => setPasting(false)} />
      ) : (
        <Button size="small" className="above-2" onClick={() => setPasting(true)}>
          Paste known items
          <KeyHint of="known-paste" />
        </Button>
      )}
    </section>
  )
}

function KnownRow({ item, holders }: { item: KnownItem; holders: Holders }) {
  const { deed, doIt } = useStore()
  const kept = item.title || holders.titles.get(item.id) || ''
  const title = useStaged(`known-${item.id}`, kept, (text) => ({
    kind: 'known.set',
    payload: { ...item, title: text },
  }))
  const names = holders.names.get(item.id) ?? []
  return (
    <div className="known" title={item.raw}>
      <input
        className="bare-input serif"
        aria-label="Title of the known item"
        placeholder={item.doi ?? 'title'}
        {...title}
      />
      <button
        className="plain remove"
        aria-label={`Remove ${kept || item.doi || 'the known item'}`}
        onClick={() => deed(doIt(dropKnown, item.id))}
      >
        ×
      </button>
      <span className="sub">
        {[item.authors.length || item.year ? whoAndWhen(item) : '', item.doi ?? '']
          .filter(Boolean)
          .join(' · ') || `pasted as ${item.form}`}
      </span>
      <span className="sub holders">
        {names.length
          ? `held by ${names.join(', ')}`
          : holders.asked
            ? 'in none of the planned databases'
            : ''}
      </span>
    </div>
  )
}

const NOT_ASKED: Record<string, Map<string, string>> = {}

function useHolders(items: readonly KnownItem[], sources: readonly SourceInfo[]): Holders {
  const ids = sources.flatMap((s) => s.standin?.id ?? []).join(' ')
  const { value } = useAsked(
    async (): Promise<Record<string, Map<string, string>>> => {
      if (!items.length) return {}
      const asked = items.map(askedOf)
      const held = ids
        .split(' ')
        .filter(Boolean)
        .map(async (id): Promise<[string, Map<string, string>]> => [
          id,
          new Map((await wordDesk().holds(id, asked)).map((h) => [h.itemId, h.title])),
        ])
      return Object.fromEntries(await Promise.all(held))
    },
    [items, ids],
    { keep: true },
  )
  const found = value ?? NOT_ASKED
  return useMemo(() => {
    const names = new Map<string, string[]>()
    const titles = new Map<string, string>()
    let asked = 0
    for (const { standin, short } of sources) {
      const held = standin && found[standin.id]
      if (!held) continue
      asked++
      for (const [itemId, title] of held) {
        names.set(itemId, [...(names.get(itemId) ?? []), short])
        if (!titles.has(itemId)) titles.set(itemId, title)
      }
    }
    return { names, titles, asked }
  }, [found, sources])
}
