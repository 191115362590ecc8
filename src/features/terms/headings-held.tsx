'use client'
import { Button } from 'antd'
import { foldLabel, plural } from '@/core/base'
import { addHeadingSeen } from '@/core/doing'
import type { Concept, Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useSession, useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'
import css from './headings-seen.module.css'

const ALONE = { broader: [], narrower: [], related: [], usedFor: [] }
/** So many are shown: what few records have is rarely worth a look before its page was seen. */
const SHOWN = 15

/** Headings that records of a source have which was brought in: each is noted as seen there, and taken by a press. */
export function HeadingsHeldBy({
  concept,
  review,
  info,
}: {
  concept: Concept
  review: Review
  info: SourceInfo
}) {
  const store = useStore()
  const works = useSession((s) => s.told.ruled.works)
  const sourceId = info.source.id
  const brought = review.imports.some((i) => i.sourceId === sourceId)
  const { value: held = [] } = useAsked(
    () => (brought ? recordsDesk().headingsHeld(sourceId, 60) : undefined),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the desk answers for the works that it was told of last
    [works, sourceId, brought],
    { keep: true },
  )
  const taken = new Set(
    review.terms.flatMap((t) =>
      t.kind === 'heading' && t.sourceId === sourceId ? [foldLabel(t.expression)] : [],
    ),
  )
  const open = held.filter((h) => !taken.has(foldLabel(h.label))).slice(0, SHOWN)
  if (!open.length) return null
  const take = (label: string): void =>
    store.deed(
      store.doIt(addHeadingSeen, {
        sourceId,
        page: { ...ALONE, label },
        from: 'record',
        conceptId: concept.id,
      }),
    )
  return (
    <>
      <p className="sub" id="headings-held">
        Records of {info.short} that were brought in have these headings; one that is pressed is taken for{' '}
        {concept.name}.
      </p>
      <ul className={css.held} aria-labelledby="headings-held">
        {open.map(({ label, records }) => (
          <li key={label}>
            <Button size="small" onClick={() => take(label)}>
              {label} <span className="sub">{plural(records, 'record')}</span>
            </Button>
          </li>
        ))}
      </ul>
    </>
  )
}
