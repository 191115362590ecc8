'use client'
import { thousands } from '@/core/base'
import type { FactContext } from '@/core/account'

/** What came in and what was left after each step, as boxes and side steps. */
export function FlowFigure({ context }: { context: FactContext }) {
  const { identified, works, duplicates, broad } = context.figures
  if (!identified) return null
  const steps = [
    {
      n: identified,
      words: 'records identified',
      aside: `${thousands(duplicates)} duplicates`,
    },
    { n: works, words: 'works to read', aside: `${thousands(broad.out)} set aside` },
    {
      n: broad.in,
      words: 'go on to full text',
      aside: broad.left + broad.unsure ? `${thousands(broad.left + broad.unsure)} still open` : '',
    },
  ]
  return (
    <section aria-label="Flow" style={{ marginTop: 18 }}>
      <h2>Flow</h2>
      {steps.map((s, i) => (
        <div key={s.words}>
          <div className="flow-box">
            <b>{thousands(s.n)}</b> {s.words}
          </div>
          {s.aside && (
            <div className={i < steps.length - 1 ? 'flow-aside' : 'flow-aside last'}>
              <span>{s.aside}</span>
            </div>
          )}
        </div>
      ))}
    </section>
  )
}
