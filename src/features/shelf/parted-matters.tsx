'use client'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { listed, plural } from '@/core/base'
import { withNeeds, type Matter } from '@/core/review'

/** What the package has otherwise in its plan, each to be taken over alone. What one hangs on is taken with it. */
export function PartedMatters({
  matters,
  busy,
  take,
}: {
  matters: readonly Matter[]
  busy: boolean
  take: (chosen: ReadonlySet<string>) => void
}) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set())
  const chosen = withNeeds(matters, ticked)
  const abouts = [...new Set(matters.map((m) => m.about))]
  const turn = ({ key }: Matter, on: boolean): void => {
    const next = new Set(ticked)
    if (on) next.add(key)
    else next.delete(key)
    setTicked(next)
  }
  return (
    <section className="parted-matters" aria-label="What was changed there in the plan">
      <div className="parted-parts" tabIndex={0} role="group" aria-label="Matters to take over">
        {abouts.map((about) => (
          <section key={about} aria-label={about}>
            <h3>{about}</h3>
            {matters
              .filter((m) => m.about === about)
              .map((m) => (
                <p key={m.key}>
                  <Checkbox
                    checked={chosen.has(m.key)}
                    disabled={chosen.has(m.key) && !ticked.has(m.key)}
                    onChange={(e) => turn(m, e.target.checked)}
                  >
                    {words(m)}
                    {m.back.length > 0 && <span className="sub"> brings back {listed(m.back)}</span>}
                    {m.both && <span className="sub"> changed here too since then</span>}
                  </Checkbox>
                </p>
              ))}
          </section>
        ))}
      </div>
      <Button size="small" disabled={!chosen.size || busy} onClick={() => take(chosen)}>
        {chosen.size ? `Take over ${plural(chosen.size, 'matter')}` : 'Take over what is ticked'}
      </Button>
    </section>
  )
}

function words({ about, there, here }: Matter): string {
  if (there === undefined) return `gone there: ${here}${about === 'Concepts' ? ', with its terms' : ''}`
  if (here === undefined) return `new there: ${there}`
  return here === there ? `${there}, otherwise in its details` : `${there} (here: ${here})`
}
