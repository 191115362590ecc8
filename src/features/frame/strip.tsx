'use client'
import { Drawer } from 'antd'
import { useState } from 'react'
import { DEED, type CommandKind } from '@/core/review'
import { useAllActions } from '@/store/actions'
import { undo, useSession } from '@/store/session'

const STATE = { saved: 'Saved', saving: 'Saving …', full: 'Not saved', failed: 'Not saved' }

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const clock = (iso: string): string => CLOCK.format(new Date(iso))
const deed = (kind: string): string => DEED[kind as CommandKind] ?? kind

/** Keys as they are printed on the keyboard. */
export function keySign(key: string): string {
  return key
    .replace('Shift+', '⇧')
    .replace('ArrowLeft', '←')
    .replace('ArrowRight', '→')
    .replace('ArrowUp', '↑')
    .replace('ArrowDown', '↓')
    .replace('Enter', '↵')
    .replace(/^ $/, 'Space')
}

/** The strip at the bottom: saved or not, what was done last, the journal, and the keys of this stage. */
export function Strip() {
  const entries = useSession((s) => s.entries)
  const state = useSession((s) => s.state)
  const folded = useSession((s) => s.folded)
  const [journal, setJournal] = useState(false)
  const actions = useAllActions()
  const last = entries[entries.length - 1]
  return (
    <footer>
      <span className="saved" data-state={state}>
        {STATE[state]}
      </span>
      {last && (
        <span className="last">
          {clock(last.at)} · {deed(last.kind)}
        </span>
      )}
      <button className="plain" disabled={!folded.done.length} onClick={() => void undo()}>
        <kbd>Z</kbd> undo
      </button>
      <button className="plain" onClick={() => setJournal(true)}>
        Journal {entries.length}
      </button>
      <span className="keys">
        {actions
          .filter((a) => a.strip && a.key && (!a.when || a.when()))
          .slice(0, 6)
          .map((a) => (
            <button key={a.id} className="plain" onClick={a.run}>
              <kbd>{keySign(a.key!)}</kbd> {a.label.toLowerCase()}
            </button>
          ))}
      </span>
      <Drawer title="Journal" open={journal} onClose={() => setJournal(false)} size={460} destroyOnHidden>
        <JournalList />
      </Drawer>
    </footer>
  )
}

/** The journal, the latest first; drawn only while the drawer is open, for it is long. */
function JournalList() {
  const entries = useSession((s) => s.entries)
  return (
    <>
      <p className="sub" style={{ marginBottom: 10 }}>
        Everything that was done in this review, the latest first. Nothing is ever taken out; what was undone
        says so.
      </p>
      {[...entries]
        .reverse()
        .slice(0, 400)
        .map((e) => (
          <div className="journal-row" key={e.seq}>
            <span className="number sub">{e.seq + 1}</span>
            <span>{deed(e.kind)}</span>
            <span className="sub">
              {e.by} · {e.at.slice(0, 10)} {clock(e.at)}
            </span>
          </div>
        ))}
    </>
  )
}
