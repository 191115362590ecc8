'use client'
import { Button } from 'antd'
import { KINDS } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { Left } from '@/store/typing'
import styles from './left-unfinished.module.css'

/** The texts in a value, for reading: what was typed, or what a field holds. */
function textsIn(value: unknown): string {
  const found: string[] = []
  const walk = (part: unknown, key = ''): void => {
    if (typeof part === 'string') {
      if (!/^(id|.*Id|kind|type|letter|passage|ref)$/.test(key) && part.trim()) found.push(part)
    } else if (Array.isArray(part)) part.forEach((p) => walk(p))
    else if (typeof part === 'object' && part !== null) for (const [k, p] of Object.entries(part)) walk(p, k)
  }
  walk(value)
  return found.join(' ')
}

/** Texts that were typed where the same was changed elsewhere since: both are shown, and one is chosen. */
export function LeftUnfinished() {
  const left = useSession((s) => s.left)
  if (!left.length) return null
  return (
    <section className={styles.left} aria-label="Changed elsewhere">
      <p>
        What {left.length === 1 ? 'a text was' : `${left.length} texts were`} typed into was changed elsewhere
        meanwhile: in another tab, by a file that was taken in, or after a tab had ended. Nothing of either is
        lost; choose which to keep.
      </p>
      {left.map((one) => (
        <Choice key={one.pending.id} left={one} />
      ))}
    </section>
  )
}

function Choice({ left }: { left: Left }) {
  const { settleLeft, deed } = useStore()
  const { typed, now, pending } = left
  const kind = typed?.kind
  return (
    <div className={styles.choice}>
      <p className="sub">
        {kind ? KINDS[kind].words.journal : 'not understood by this version'} · typed{' '}
        {pending.at.slice(0, 16).replace('T', ' ')}
      </p>
      <dl>
        <dt>Typed</dt>
        <dd className="serif">{textsIn(typed?.payload ?? pending.command) || '(empty)'}</dd>
        <dt>There now</dt>
        <dd className="serif">
          {now === undefined ? '(no longer in the review)' : textsIn(now) || '(empty)'}
        </dd>
      </dl>
      <Button size="small" onClick={() => deed(settleLeft(left, false))}>
        Keep what is there
      </Button>{' '}
      {typed && (
        <Button size="small" onClick={() => deed(settleLeft(left, true))}>
          Take what was typed
        </Button>
      )}
    </div>
  )
}
