'use client'
import { Radio } from 'antd'
import { useMemo, useState } from 'react'
import { held, plural, thousands } from '@/core/base'
import type { Letter, Review } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { LetterList } from '@/ui/letter-list'
import { useAsked, type Asked } from '@/page/use-asked'
import { recordsDesk, wordDesk, type HarvestOffer } from '@/workers'
import { askedOf } from '../shared/known-item'
import { conceptTerms } from '../shared/plan-text'
import { putTerms } from '../shared/term-commands'

type From = 'known items' | 'works kept'

/** What stands out in good records and is not in the grid yet, by concept. */
export function Harvest({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const store = useStore()
  const works = useSession((s) => s.told.ruled.works.works)
  const rulings = useSession((s) => s.told.ruled.byWork)
  const kept = useMemo(
    () => works.filter((w) => Object.values(held(rulings, w.id) ?? {}).some((r) => r.verdict === 'in')),
    [works, rulings],
  )
  const [chosen, setChosen] = useState<From>()
  const from: From = chosen ?? (review.knownItems.length || !kept.length ? 'known items' : 'works kept')
  const goods = useGood(from, review, sources, kept)
  const good = goods.value ?? NONE_GOOD
  const harvested = useHarvest(good, review, sources)
  const result = harvested.value
  const failed = goods.failed ?? harvested.failed
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())

  const letters = review.concepts.map((c) => c.letter)
  const offers = result?.offers.filter((o) => !left.has(keyOf(o)) && !isKnown(review, sources, o)) ?? []
  const ordered = [
    ...review.concepts.flatMap((c) => offers.filter((o) => o.conceptId === c.id)),
    ...offers.filter((o) => !review.concepts.some((c) => c.id === o.conceptId)),
  ]
  const leave = (o: HarvestOffer): void => setLeft((s) => new Set(s).add(keyOf(o)))
  const take = (o: HarvestOffer, letter: Letter): void => {
    const concept = review.concepts.find((c) => c.letter === letter)
    const sourceId =
      o.kind === 'heading' ? sources.find((s) => s.standin?.id === o.sourceId)?.source.id : 'all'
    if (!concept || !sourceId) return
    putTerms(store, [
      {
        conceptId: concept.id,
        sourceId,
        kind: o.kind === 'heading' ? 'heading' : 'text',
        expression: o.text,
        origin: from === 'known items' ? 'known item' : 'harvest',
        from: `in ${o.good} of ${o.goods} good records, ${o.rest} of ${thousands(o.rests)} others`,
      },
    ])
  }
  return (
    <section className="harvest" aria-label="Harvest">
      <div className="pane-head">
        <h2>Over-represented in good records, not in the grid</h2>
        <Radio.Group
          size="small"
          value={from}
          onChange={(e) => setChosen(e.target.value as From)}
          options={[
            { value: 'known items', label: `Known items (${review.knownItems.length})` },
            { value: 'works kept', label: `Works ruled in (${thousands(kept.length)})` },
          ]}
        />
        {result && result.records > 0 && (
          <span className="sub">
            {plural(result.records, 'record')} read against the rest · Enter takes to the concept marked, a
            letter to another, Delete leaves it out
          </span>
        )}
      </div>
      {failed !== undefined || !goods.value ? (
        <p className="empty">{failed ?? 'Looking for the good records …'}</p>
      ) : !Object.values(good).some((ids) => ids.length) ? (
        <p className="empty">
          {from === 'known items'
            ? 'No known item has been found in the planned databases yet. Paste some under Question (I), or rule works in under Selection.'
            : 'No work has been ruled in yet; known items will do as well.'}
        </p>
      ) : !result ? (
        <p className="empty">Reading the good records against the rest …</p>
      ) : !ordered.length ? (
        <p className="empty">
          Nothing stands out that the grid does not have: the terms cover these records.
        </p>
      ) : (
        <LetterList
          id="harvest"
          label="Harvested words and headings"
          autoFocus
          letters={letters}
          take={(row, letter) => take(ordered[row]!, letter)}
          leave={(row) => leave(ordered[row]!)}
          rows={ordered.map((o) => ({
            key: keyOf(o),
            name: o.text,
            best: review.concepts.find((c) => c.id === o.conceptId)?.letter,
            content: (
              <>
                <span className={o.kind === 'heading' ? '' : 'mono'}>{o.text}</span>
                <span className="sub">
                  {o.kind === 'heading'
                    ? `heading of ${sources.find((s) => s.standin?.id === o.sourceId)?.short}`
                    : o.kind === 'keyword'
                      ? 'author keyword'
                      : 'words'}
                </span>
                <span className="sub number">
                  {o.good} of {o.goods} good
                </span>
                <span className="sub number">
                  {thousands(o.rest)} of {thousands(o.rests)} others
                </span>
                <span className="sub number" title="Log-likelihood ratio (Dunning 1993): how far from chance">
                  G² {Math.round(o.g2)}
                </span>
              </>
            ),
          }))}
        />
      )}
      {left.size > 0 && (
        <button className="plain link sub above-2" onClick={() => setLeft(new Set())}>
          show {plural(left.size, 'offer')} left out
        </button>
      )}
    </section>
  )
}

const keyOf = (o: HarvestOffer): string => `${o.sourceId ?? 'all'}/${o.text}`

/** Used or dropped: what was dropped once is not offered again. */
function isKnown(review: Review, sources: readonly SourceInfo[], o: HarvestOffer): boolean {
  const sourceId = o.kind === 'heading' ? sources.find((s) => s.standin?.id === o.sourceId)?.source.id : 'all'
  return review.terms.some((t) => t.sourceId === sourceId && t.expression === o.text)
}

/** By stand-in: the numbers of the good records in it. */
function useGood(
  from: From,
  review: Review,
  sources: readonly SourceInfo[],
  kept: readonly { id: string }[],
): Asked<Record<string, string[]>> {
  const { knownItems } = review
  return useAsked(
    async () => {
      const own = sources.filter((s) => s.standin)
      const good = own.map(async ({ source, standin }): Promise<[string, string[]]> => {
        if (from === 'works kept')
          return [
            standin!.id,
            await recordsDesk().numbersIn(
              source.id,
              kept.map((w) => w.id),
            ),
          ]
        const asked = knownItems.map(askedOf)
        const held = asked.length ? await wordDesk().holds(standin!.id, asked) : []
        return [standin!.id, held.map((h) => h.recordId)]
      })
      return Object.fromEntries(await Promise.all(good))
    },
    [from, knownItems, sources, kept],
    { keep: true },
  )
}
const NONE_GOOD: Record<string, string[]> = {}

function useHarvest(good: Record<string, string[]>, review: Review, sources: readonly SourceInfo[]) {
  // Asked again when the terms change, because what the grid finds whole is no longer offered.
  const terms = useMemo(() => conceptTerms(review, sources), [review, sources])
  return useAsked(
    () => (Object.values(good).some((ids) => ids.length) ? wordDesk().harvest(good, terms) : undefined),
    [good, terms],
    { keep: true },
  )
}
