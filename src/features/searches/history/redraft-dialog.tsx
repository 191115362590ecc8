'use client'
import { putStrategy } from '@/core/doing'
import { Button, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { plural } from '@/core/base'
import { limitWords } from '@/core/query'
import type { Line, Review } from '@/core/review'
import { redraft, type RedraftChange } from '@/core/strategy'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { WordChanges } from '../versions/versions'
import { draftFor } from './draft'

const WORDS: Record<RedraftChange['kind'], string> = {
  same: 'as it is',
  added: 'new',
  changed: 'follows the plan',
  kept: 'yours, kept',
  gone: 'goes: no longer planned',
}

/** What drafting anew would change, before it is done: hand edits stay, the rest follows the plan. */
export function RedraftDialog({
  review,
  info,
  lines,
  close,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  close: () => void
}) {
  const { deed, doIt, newId } = useStore()
  const [{ changes, lines: next }] = useState(() => redraft(lines, draftFor(review, info), newId))
  const differing = useMemo(
    () => changes.filter((c) => c.kind !== 'same' && !(c.kind === 'kept' && c.drafted === undefined)),
    [changes],
  )
  const does = changes.some((c) => c.kind === 'added' || c.kind === 'changed' || c.kind === 'gone')
  const apply = (): void => {
    deed(doIt(putStrategy, { sourceId: info.source.id, lines: next, why: 'drafted anew' }))
    close()
  }
  return (
    <Modal
      open
      width={820}
      title={`Draft ${info.short} anew from the plan`}
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          Leave it as it is
        </Button>,
        <Button key="apply" type="primary" disabled={!does} onClick={apply} autoFocus>
          {does
            ? `Apply ${plural(differing.filter((c) => c.kind !== 'kept').length, 'change')}`
            : 'Nothing to apply'}
        </Button>,
      ]}
    >
      {!differing.length && <p className="empty">The lines are what the plan says. Nothing would change.</p>}
      {differing.map((c) => (
        <div key={c.line.id} className={`redraft-row ${c.kind}`}>
          <span className="sub">{WORDS[c.kind]}</span>
          <span>
            {c.kind === 'changed' ? (
              <WordChanges was={c.was} is={c.line.text} />
            ) : c.kind === 'gone' ? (
              <del className="mono">{c.line.text}</del>
            ) : (
              <span className="mono">{(c.line as Line).described ?? c.line.text}</span>
            )}
            {c.line.limits.length > 0 && (
              <span className="sub"> + {c.line.limits.map(limitWords).join(' + ')}</span>
            )}
            {c.kind === 'kept' && c.drafted !== undefined && (
              <span className="sub as-block">
                the plan would say: <span className="mono">{c.drafted}</span>
              </span>
            )}
          </span>
        </div>
      ))}
    </Modal>
  )
}
