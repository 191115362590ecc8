'use client'
import {
  Bar,
  BarChart,
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import type { ChartProps } from './chart'

const INKS = ['var(--ink)', 'var(--hair2)', 'var(--ink3)']
const WORDS = { fontSize: 12, fill: 'var(--ink2)' }
const axis = { tick: WORDS, stroke: 'var(--hair2)', tickLine: false } as const
const TITLE = { ...WORDS, fill: 'var(--ink3)' }

/** The chart itself; see `chart.tsx`. Colours belong to concepts: what is counted is told apart by how dark it is. */
export default function ChartDrawn({ kind, points, counted, series }: ChartProps) {
  const data = points.of.map((point, i) => ({
    point,
    ...Object.fromEntries(series.map((s) => [s.name, s.values[i]])),
  }))
  const rows = kind === 'rows'
  const numbers = kind === 'line'
  const shared = [
    <CartesianGrid key="grid" stroke="var(--hair)" vertical={rows} horizontal={!rows} />,
    <Tooltip
      key="tip"
      isAnimationActive={false}
      labelFormatter={(label) => `${points.name}: ${String(label)}`}
      contentStyle={{
        background: 'var(--sheet)',
        border: '1px solid var(--hair2)',
        borderRadius: 4,
        fontSize: 12,
        padding: '4px 8px',
      }}
      itemStyle={{ color: 'var(--ink)', padding: 0 }}
      labelStyle={{ color: 'var(--ink2)' }}
      cursor={{ stroke: 'var(--hair2)', fill: 'var(--tint)' }}
    />,
    ...(series.length > 1
      ? [
          <Legend
            key="legend"
            verticalAlign="top"
            align="right"
            itemSorter={null}
            iconType="square"
            wrapperStyle={{ fontSize: 12 }}
            formatter={(name) => <span style={{ color: 'var(--ink2)' }}>{String(name)}</span>}
          />,
        ]
      : []),
  ]
  const named = { value: points.name, position: 'insideBottom', offset: -4, style: TITLE } as const
  const count = {
    value: counted,
    angle: -90,
    position: 'insideLeft',
    style: { ...TITLE, textAnchor: 'middle' },
  } as const
  const margin = { top: 6, right: 16, bottom: 14, left: 4 }
  return (
    <ResponsiveContainer width="100%" height="100%">
      {numbers ? (
        <LineChart data={data} margin={margin} accessibilityLayer>
          {shared}
          <XAxis dataKey="point" type="number" domain={['dataMin', 'dataMax']} {...axis} label={named} />
          <YAxis {...axis} width={52} allowDecimals={false} label={count} />
          {series.map((s, i) => (
            <Line
              key={s.name}
              dataKey={s.name}
              stroke={INKS[i % INKS.length]!}
              strokeWidth={1.6}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      ) : (
        <BarChart
          data={data}
          margin={margin}
          layout={rows ? 'vertical' : 'horizontal'}
          barCategoryGap={rows ? 3 : '18%'}
          accessibilityLayer
        >
          {shared}
          {rows ? (
            <>
              <XAxis type="number" {...axis} allowDecimals={false} label={{ ...named, value: counted }} />
              <YAxis dataKey="point" type="category" {...axis} width={150} interval={0} />
            </>
          ) : (
            <>
              <XAxis dataKey="point" {...axis} label={named} />
              <YAxis {...axis} width={52} allowDecimals={false} label={count} />
            </>
          )}
          {series.map((s, i) => (
            <Bar
              key={s.name}
              dataKey={s.name}
              stackId="all"
              fill={INKS[i % INKS.length]!}
              isAnimationActive={false}
            />
          ))}
        </BarChart>
      )}
    </ResponsiveContainer>
  )
}
