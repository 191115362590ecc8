'use client'
import { ribbon, thickness } from './course'

interface Props {
  width: number
  height: number
  /** What flows at each stage, in order. */
  figures: readonly number[]
  /** The strands that run to the hits, by their letters. */
  letters: readonly string[]
  /** Room left free above the ribbons. */
  top: number
  /** Where the first stage begins. */
  left?: number
}

/** Stages up to the searches carry a strand for each concept; behind them they are one cloth. */
const WOVEN_FROM = 3

/** The strands run side by side, swell to the hits and are woven into one cloth of records. */
export function CourseBand({ width, height, figures, letters, top, left = 0 }: Props) {
  if (width < 50) return null
  const step = (width - left) / figures.length
  const room = height - top
  const middle = top + room / 2
  const strands = letters.length ? letters : ['none']
  const at = (i: number): { from: number; to: number } => ({
    from: left + i * step,
    to: left + i * step + step * 0.7,
  })
  const clothTop = figures[WOVEN_FROM] ? thickness(figures[WOVEN_FROM], room * 0.75) : 1.2
  return (
    <svg width={width} height={height} aria-hidden="true">
      <defs>
        <pattern id="weave" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 1.5H3M3 4.5H6M1.5 3V6M4.5 0V3" stroke="var(--ink3)" strokeWidth="0.9" />
        </pattern>
      </defs>
      {strands.map((letter, k) => {
        const each = (i: number): number =>
          Math.max(1.2, thickness(figures[i] ?? 0, room * 0.95) / strands.length - 1)
        const points = [0, 1, 2].map((i) => {
          const t = each(i)
          const gap = 1 + t
          return { ...at(i), middle: middle + (k - (strands.length - 1) / 2) * gap, thickness: t }
        })
        const order = (k + 1) % strands.length
        const cloth = Math.max(1.2, clothTop / strands.length)
        const end = left + WOVEN_FROM * step
        points.push({
          from: end,
          to: end,
          middle: middle + (order - (strands.length - 1) / 2) * cloth,
          thickness: cloth,
        })
        return (
          <path
            key={letter}
            d={ribbon(points)}
            fill={letter === 'none' ? 'var(--hair2)' : `var(--${letter})`}
            opacity={0.8}
          />
        )
      })}
      {['url(#weave)', 'var(--ink)'].map((fill, i) => (
        <path
          key={fill}
          d={ribbon(
            figures
              .slice(WOVEN_FROM)
              .map((n, k) => ({ ...at(k + WOVEN_FROM), middle, thickness: thickness(n, room * 0.75) })),
          )}
          fill={fill}
          opacity={i ? 0.12 : 1}
        />
      ))}
    </svg>
  )
}
