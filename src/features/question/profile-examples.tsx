import { Button, Input } from 'antd'
import { useState } from 'react'
import { listed, plural } from '@/core/base'
import { filledByExamples, type Filled, type ProfileDraft } from '@/core/profile'

const HINT = `title words\t<t>noise
either word\tnoise | din
any ending\tnois^`

/** Where a description begins: examples from a help page, a saved strategy or a history, and what they show. */
export function ProfileExamples({ draft, set }: { draft: ProfileDraft; set: (draft: ProfileDraft) => void }) {
  const [text, setText] = useState('')
  const [filled, setFilled] = useState<Filled>()
  const fill = (): void => {
    const found = filledByExamples(draft, text)
    setFilled(found)
    set(found.draft)
  }
  return (
    <section className="describe-examples" aria-label="Examples">
      <h3>From examples</h3>
      <p className="sub">
        Paste queries from its help page, one a row: what it shows, a tab, and the example. Rows of a strategy
        or a history go below as they are, and so may words on a code: “q1 is the title”.
      </p>
      <Input.TextArea
        className="mono"
        aria-label="Examples of its syntax"
        autoSize={{ minRows: 3, maxRows: 9 }}
        placeholder={HINT}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button size="small" disabled={!text.trim()} onClick={fill}>
        Fill in what they show
      </Button>
      {filled && (
        <div role="status">
          <p className="quiet-note">
            {filled.shown
              ? `${plural(filled.shown, 'part')} filled in.`
              : 'Nothing could be made out: say before each, with a tab, what it shows.'}
            {filled.emptied.length > 0 && ` Shown by none and left empty: ${listed(filled.emptied)}.`}
          </p>
          {filled.doubts.length > 0 && (
            <ul className="problem-list">
              {filled.doubts.slice(0, 8).map((d, i) => (
                <li key={i}>
                  <span className="warning">
                    {d.words}
                    {d.seen.length > 0 &&
                      ` (${d.seen.length === 1 ? 'row' : 'rows'} ${listed(d.seen.map(String))})`}
                  </span>
                </li>
              ))}
            </ul>
          )}
          {filled.shown > 0 && (
            <p className="sub">No example tells: {filled.questions.join(' ')} Look for it below.</p>
          )}
        </div>
      )}
    </section>
  )
}
