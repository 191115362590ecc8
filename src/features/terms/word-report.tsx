'use client'
import { type KeyboardEvent, type ReactNode } from 'react'
import { listed, plural, thousands } from '@/core/base'
import type { Weight, WordReport as Report } from '@/workers'

interface Props {
  report: Report
  has: (text: string) => boolean
  take: (text: string, from: string) => void
  instead: (text: string) => void
  back: () => void
}

/** What a word really matches, how else it could be written, said together, or called. Arrows walk it, Enter takes. */
export function WordReport({ report, has, take, instead, back }: Props) {
  const { stem, variants, together, senses, total } = report
  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    const buttons = [...event.currentTarget.querySelectorAll('button')]
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement)
    if (event.key === 'ArrowDown' || event.key === 'ArrowRight') buttons[at + 1]?.focus()
    else if ((event.key === 'ArrowUp' || event.key === 'ArrowLeft') && at > 0) buttons[at - 1]!.focus()
    else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') back()
    else if (event.key === 'Escape') back()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const offer = (text: string, weight: Weight, from: string): ReactNode => (
    <button key={text} className="plain offer-row" disabled={has(text)} onClick={() => take(text, from)}>
      <span className="mono">{text}</span>
      <span className="number">{thousands(weight.hits)}</span>
      <span className="number sub">{has(text) ? 'taken' : total.near ? thousands(weight.near) : ''}</span>
    </button>
  )
  const head = (words: string): ReactNode => (
    <h3 className="offer-head">
      <span>{words}</span>
      <span className="number">records</span>
      <span className="number">{total.near ? 'near' : ''}</span>
    </h3>
  )
  return (
    <div
      className="word-report"
      onKeyDown={onKeyDown}
      role="group"
      aria-label="What the word matches and how else to say it"
    >
      {stem && (
        <div>
          {head('It really matches')}
          {stem.forms.slice(0, 14).map((f) => (
            <div key={f.form} className={`offer-row${f.noise ? ' noise' : ''}`}>
              <span>
                {f.form}
                {f.noise && <span className="hidden-text"> (noise)</span>}
              </span>
              <span className="number">{thousands(f.count)}</span>
              <span className="number sub">{total.near ? thousands(f.near) : ''}</span>
            </div>
          ))}
          {stem.forms.length > 14 && (
            <p className="sub">and {plural(stem.forms.length - 14, 'rarer form')}</p>
          )}
          {!stem.forms.length && <p className="sub">No record has a word like this.</p>}
        </div>
      )}
      {stem && (stem.tooShort ?? stem.tooLong) && (
        <div>
          {stem.tooShort && (
            <p className="note">
              <b>Cut too short.</b> {listed(stem.tooShort.drops.slice(0, 4).map((d) => `“${d}”`))}{' '}
              {stem.tooShort.drops.length === 1 ? 'is' : 'are'} another word and seldom near the rest of the
              plan. Take{' '}
              <button className="plain link mono" onClick={() => instead(stem.tooShort!.instead)}>
                {stem.tooShort.instead}
              </button>{' '}
              instead.
            </p>
          )}
          {stem.tooLong && (
            <p className="note">
              <b>Cut too long.</b> It misses{' '}
              {listed(stem.tooLong.adds.slice(0, 4).map((f) => `“${f.form}” (${thousands(f.count)})`))}. Take{' '}
              <button className="plain link mono" onClick={() => instead(stem.tooLong!.instead)}>
                {stem.tooLong.instead}
              </button>{' '}
              instead.
            </p>
          )}
        </div>
      )}
      {together.length > 0 && (
        <div>
          {head('The words together')}
          {together.map((t) => (
            <div key={t.kind}>
              {offer(t.text, t, t.kind)}
              <p className="sub offer-why">{t.kind}</p>
            </div>
          ))}
        </div>
      )}
      {variants.length > 0 && (
        <div>
          {head('Other ways to write it')}
          {variants.map((v) => (
            <div key={v.text}>
              {offer(v.text, v, v.kind)}
              <p className="sub offer-why">{v.kind}</p>
            </div>
          ))}
        </div>
      )}
      {senses.length > 0 && (
        <div>
          {head('Other words for it')}
          {senses.map((s) => (
            <div key={`${s.broader}/${s.words[0]!.text}`}>
              <p className="sub offer-why">{s.broader ? `in the sense of: ${s.broader}` : 'in one sense'}</p>
              {s.words.map((w) => offer(w.text, w, 'a synonym'))}
            </div>
          ))}
        </div>
      )}
      {total.near > 0 && (
        <p className="sub near-note">
          near: records that the other concepts of the plan find too. Of {plural(total.hits, 'record')} with
          this word {thousands(total.near)} are.
        </p>
      )}
    </div>
  )
}
