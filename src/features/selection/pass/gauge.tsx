import { thousands } from '@/core/base'
import type { PassCounts } from '@/core/selection'

/** How a pass stands, as one column parted by what was ruled. */
export function Gauge({ counts }: { counts: PassCounts }) {
  const parts = [
    { name: 'in', n: counts.in, fill: 'var(--ink)' },
    { name: 'out', n: counts.out, fill: 'var(--ink3)' },
    {
      name: 'unsure',
      n: counts.unsure,
      fill: 'repeating-linear-gradient(45deg, var(--ink3) 0 2px, transparent 2px 5px)',
    },
    ...(counts.toSettle
      ? [
          {
            name: 'to settle',
            n: counts.toSettle,
            fill: 'repeating-linear-gradient(0deg, var(--ink2) 0 1px, transparent 1px 4px)',
          },
        ]
      : []),
    { name: 'left', n: counts.left, fill: 'var(--hair)' },
  ]
  return (
    <div className="gauge">
      <div className="bar" aria-hidden="true">
        {parts.map((p) => (
          <span key={p.name} style={{ flex: p.n, background: p.fill }} />
        ))}
      </div>
      <div className="labels">
        {parts.map((p) => (
          <span key={p.name}>
            <b>{thousands(p.n)}</b> {p.name}
          </span>
        ))}
      </div>
    </div>
  )
}
