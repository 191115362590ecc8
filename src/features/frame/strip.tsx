'use client'
import { Drawer } from 'antd'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { kindNamed, lastDeed, nameOf, oddClocks, undoable } from '@/core/review'
import { keyOf, toggleGuide, useAllActions, useRegistry } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import type { SaveState } from '@/store/journal-file'
import { chooseTheme, useThemeChoice } from '@/ui/theme'
import { keySign } from '@/ui/key-sign'
import { useBackup } from '../shared/hand-on/backup'
import { saveBackup } from '../shared/hand-on/save-package'
import { useUndo } from './undo'

const STATE: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving …',
  full: 'Not saved',
  failed: 'Not saved',
  parted: 'Not saved',
  removed: 'Not saved',
  gone: 'Not saved',
}

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const clock = (iso: string): string => CLOCK.format(new Date(iso))
const deedWords = (kind: string): string => kindNamed(kind)?.words.journal ?? kind

/** The strip at the bottom: saved or not, what was done last and what undo would take back, and the keys of this stage. */
export function Strip() {
  const { understood } = useStore()
  const entries = useSession((s) => s.entries)
  const state = useSession((s) => s.state)
  const folded = useSession((s) => s.folded)
  const refused = useSession((s) => s.refused)
  const own = useRegistry((s) => s.own)
  const [journal, setJournal] = useState(false)
  const actions = useAllActions()
  const { undo } = useUndo()
  const last = entries[entries.length - 1]
  const leftOut = useMemo(
    () => folded.problems.filter((p) => p.code === 'entry-withheld').length,
    [folded.problems],
  )
  const next = useMemo(() => lastDeed(entries, undoable(folded)), [entries, folded])
  return (
    <footer>
      <Link href="/" title="To the shelf of reviews">
        Reviews
      </Link>
      <button className="plain link" title="The guide to this stage, beside the work" onClick={toggleGuide}>
        Guide
      </button>
      {refused ? (
        <>
          <span className="refused" role="alert" title={refused}>
            {refused}
          </span>
          <button className="plain link" onClick={understood}>
            I see
          </button>
        </>
      ) : (
        <>
          <span className="saved" data-state={state} role="status">
            {STATE[state]}
          </span>
          {last && (
            <span className="last">
              {clock(last.at)} · {deedWords(last.kind)}
            </span>
          )}
        </>
      )}
      <button className="plain undo" disabled={!next} onClick={undo} title={next && `Undo: ${next.words}`}>
        <kbd>{keySign(own.keys.undo ?? 'Z')}</kbd> undo{next ? `: ${next.words}` : ''}
      </button>
      <button className="plain" onClick={() => setJournal(true)}>
        Journal {entries.length}
        {leftOut > 0 && (
          <span title="What they say was left out when this was handed on."> ({leftOut} left out)</span>
        )}
      </button>
      <BackupDue />
      <span className="keys">
        {actions
          .filter((a) => a.strip && a.key && (!a.when || a.when()))
          // What finds all others is the last to go where there is no room.
          .toSorted((a, b) => Number(b.id === 'palette') - Number(a.id === 'palette'))
          .slice(0, 6)
          .map((a) => (
            <button key={a.id} className="plain" onClick={a.run}>
              {!own.off && <kbd>{keySign(keyOf(a, own)!)}</kbd>} {a.label.toLowerCase()}
            </button>
          ))}
      </span>
      <ThemeChoice />
      <Drawer title="Journal" open={journal} onClose={() => setJournal(false)} size={460} destroyOnHidden>
        <JournalList />
      </Drawer>
    </footer>
  )
}

/** Work that no backup holds, where it has been long; pressed, everything is saved. */
function BackupDue() {
  const store = useStore()
  const { due } = useBackup()
  if (due === undefined) return null
  return (
    <button
      className="plain link"
      title="Everything is saved as one file, which can be opened anywhere"
      onClick={() => store.deed(saveBackup(store))}
    >
      {plural(due, 'day')} without a backup
    </button>
  )
}

/** How the page looks: a word that can be pressed, with the theme that would come next. */
function ThemeChoice() {
  const choice = useThemeChoice()
  const next = { 'as the system': 'light', light: 'dark', dark: 'as the system' } as const
  return (
    <button
      className="plain theme-choice"
      title="How it looks: press for the next"
      onClick={() => chooseTheme(next[choice])}
    >
      {choice === 'as the system' ? 'look: system' : `look: ${choice}`}
    </button>
  )
}

/** So many entries are drawn at first, and more when they are asked for. */
const AT_ONCE = 200

/** The journal, the latest first; drawn only while the drawer is open, and of a long one only its end. */
function JournalList() {
  const entries = useSession((s) => s.entries)
  const review = useSession((s) => s.folded.review)
  const { now } = useStore()
  const [shown, setShown] = useState(AT_ONCE)
  const odd = useMemo(() => oddClocks(entries, now()), [entries, now])
  return (
    <>
      <p className="sub below-2">
        Everything that was done in this review, the latest first. Nothing is ever taken out; what was undone
        says so.
      </p>
      {odd.slice(0, 3).map((words) => (
        <p className="note" key={words}>
          {words}
        </p>
      ))}
      {odd.length > 3 && (
        <p className="note">{plural(odd.length - 3, 'more entry', 'more entries')} like these.</p>
      )}
      {entries
        .slice(-shown)
        .reverse()
        .map((e) => {
          const name = nameOf(review, e.by)
          return (
            <div className="journal-row" key={e.seq}>
              <span className="number sub">{e.seq + 1}</span>
              <span>{deedWords(e.kind)}</span>
              <span className="sub">
                {name ? `${name} · ` : ''}
                {e.at.slice(0, 10)} {clock(e.at)}
              </span>
            </div>
          )
        })}
      {shown < entries.length && (
        <button className="plain link" onClick={() => setShown(shown + AT_ONCE)}>
          {thousands(entries.length - shown)} earlier: show more
        </button>
      )}
    </>
  )
}
