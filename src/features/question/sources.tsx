'use client'
import { Button } from 'antd'
import type { Review, Source } from '@/core/review'
import { STANDINS } from '@/standins'
import { act, newId } from '@/store/session'
import { useStaged } from '@/store/use-staged'
import { TextLine } from '@/ui/text-line'

/** Where to look, and why there. */
export function SourcesPlan({ review }: { review: Review }) {
  const free = STANDINS.filter((s) => !review.sources.some((known) => known.profileId === s.id))
  return (
    <section aria-labelledby="sources-head" data-anchor="sources">
      <h2 id="sources-head">Where to look</h2>
      {review.sources.map((s) => (
        <SourceRow key={s.id} source={s} />
      ))}
      {!review.sources.length && (
        <p className="empty">
          Choose the databases to be searched. The ones offered here are invented and ship with Luvren; they
          really search.
        </p>
      )}
      <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}>
        {free.map((s) => (
          <Button
            key={s.id}
            size="small"
            onClick={() =>
              void act('source.set', {
                id: newId(),
                kind: 'database',
                name: s.name,
                profileId: s.id,
                why: '',
              })
            }
          >
            Add {s.name}
          </Button>
        ))}
      </div>
    </section>
  )
}

function SourceRow({ source }: { source: Source }) {
  const why = useStaged(`source-why-${source.id}`, source.why, (text) => ({
    kind: 'source.set',
    payload: { ...source, why: text },
  }))
  return (
    <div
      style={{ padding: '6px 0', borderBottom: '1px solid var(--hair)', fontSize: 13.5 }}
      data-anchor={`source:${source.id}`}
    >
      <div style={{ display: 'flex', justifyContent: 'space-between' }}>
        <span>{source.name}</span>
        <button
          className="plain remove"
          aria-label={`Remove ${source.name}`}
          onClick={() => void act('source.remove', { id: source.id })}
        >
          ×
        </button>
      </div>
      <TextLine
        className="sub"
        aria-label={`Why ${source.name}`}
        placeholder="why here? because …"
        {...why}
      />
    </div>
  )
}
