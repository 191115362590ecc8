import type { Line, Run } from '@/core/review'
import { lineKeys } from '@/core/strategy'

/** A line as a person wrote it, without limits, unless `more` says otherwise. */
export const line = (id: string, text: string, more: Partial<Line> = {}): Line => ({
  id,
  text,
  limits: [],
  note: '',
  drafted: false,
  ...more,
})

/** The run of a line as it stands among its lines. */
export const run = (lines: readonly Line[], id: string, hits: number, at: string): Run => ({
  id: `${id}${at}`,
  sourceId: 's',
  lineId: id,
  key: lineKeys(lines).get(id)!,
  number: lines.findIndex((l) => l.id === id) + 1,
  text: lines.find((l) => l.id === id)!.text,
  sent: '',
  limits: [],
  hits,
  at,
  by: 'M. Osei',
  release: '2026-09',
  how: 'stand-in',
})
