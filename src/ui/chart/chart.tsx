'use client'
import { lazy, Suspense } from 'react'
import styles from './chart.module.css'

export interface Series {
  name: string
  /** In the order of the points. */
  values: readonly number[]
}

export interface ChartProps {
  /** What is shown, in a sentence: read out in the place of the picture. */
  label: string
  kind: 'line' | 'bars' | 'rows'
  /** What the points are called together, and each; numbers make an axis of numbers. */
  points: { name: string; of: readonly (string | number)[] }
  /** What is counted, at the axis. */
  counted: string
  /** The first the darkest. Bars stand on each other, rows beside each other. */
  series: readonly Series[]
  /** In pixels. */
  height?: number
}

/** The library that draws is large: it is fetched where a chart is shown, and nowhere else. */
const Drawn = lazy(() => import('./chart-drawn'))

/** A chart with axes, its values on hover and by arrow keys, and the same as a table for who does not see it. */
export function Chart(props: ChartProps) {
  const { label, points, series, height = 220 } = props
  return (
    <figure className={styles.chart} style={{ height }}>
      <div aria-hidden={false} role="group" aria-label={label} className={styles.drawn}>
        <Suspense fallback={null}>
          <Drawn {...props} />
        </Suspense>
      </div>
      <div className="hidden-text">
        <table>
          <caption>{label}</caption>
          <thead>
            <tr>
              <th scope="col">{points.name}</th>
              {series.map((s) => (
                <th key={s.name} scope="col">
                  {s.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {points.of.map((point, i) => (
              <tr key={point}>
                <th scope="row">{point}</th>
                {series.map((s) => (
                  <td key={s.name}>{s.values[i]}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  )
}
