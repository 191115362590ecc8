import { z } from 'zod'
import { Id } from '../../base'
import { LimitValue } from '../../query'
import { moveLine, renumberLines } from '../../strategy'
import type { Place } from '../place'
import { LeftRemark, Line, LineUse, TakenOver } from '../values'
import { atStage, kind, one, PLAIN, put, removes, said } from './kind'

const sheet = ({ sourceId }: { sourceId: string }): Place => ({
  stage: 'searches',
  sourceId,
  anchor: `source:${sourceId}`,
})
const atLine = (sourceId: string, id: string): Place => ({
  stage: 'searches',
  sourceId,
  anchor: `line:${id}`,
})

export const STRATEGY_KINDS = {
  'strategy.draft': kind({
    ...PLAIN,
    schema: z.object({ sourceId: Id, lines: z.array(Line) }),
    apply: (r, p) => {
      r.strategies[p.sourceId] = p.lines
    },
    place: sheet,
    words: said('strategy drafted'),
  }),
  'strategy.set': kind({
    ...PLAIN,
    schema: z.object({
      sourceId: Id,
      lines: z.array(Line),
      why: z.enum(['drafted anew', 'brought over', 'an earlier version', 'a pasted history', 'advice']),
      /** The source it was brought over from, when the earlier version was run, or which advice was taken. */
      from: z.string().optional(),
    }),
    apply: (r, p) => {
      r.strategies[p.sourceId] = p.lines
    },
    place: sheet,
    words: said('strategy set'),
  }),
  'line.add': kind({
    ...PLAIN,
    schema: z.object({ sourceId: Id, line: Line, at: z.int().min(0).optional() }),
    apply: (r, p) => {
      const before = r.strategies[p.sourceId] ?? []
      const after = [...before]
      after.splice(p.at ?? after.length, 0, p.line)
      r.strategies[p.sourceId] = renumberLines(before, after)
    },
    place: (p) => atLine(p.sourceId, p.line.id),
    words: said('line added'),
  }),
  'line.change': kind({
    ...PLAIN,
    schema: z.object({
      sourceId: Id,
      id: Id,
      text: z.string().optional(),
      limits: z.array(LimitValue).optional(),
      note: z.string().optional(),
      described: z.string().optional(),
      /** With an empty name, nothing is taken over any more. */
      takenOver: TakenOver.optional(),
      conceptId: Id.optional(),
      use: LineUse.optional(),
    }),
    apply: (r, p) => {
      const line = r.strategies[p.sourceId]?.find((l) => l.id === p.id)
      if (!line) return
      if (p.text !== undefined && p.text !== line.text) {
        line.text = p.text
        line.drafted = false
      }
      if (p.limits !== undefined) line.limits = p.limits
      if (p.conceptId !== undefined) line.conceptId = p.conceptId
      if (p.use !== undefined) line.use = p.use
      if (p.note !== undefined) line.note = p.note
      if (p.described !== undefined) line.described = p.described
      if (p.takenOver?.name.trim()) line.takenOver = p.takenOver
      else if (p.takenOver) delete line.takenOver
    },
    place: (p) => atLine(p.sourceId, p.id),
    words: said('line changed'),
    held: (r, p) => {
      const line = one(r.strategies[p.sourceId] ?? [], p.id)
      if (!line) return undefined
      const { text, limits, note, described, conceptId, takenOver, use } = line
      const fields: Record<string, unknown> = { text, limits, note, described, conceptId, takenOver, use }
      const names = Object.keys(p).filter((k) => k in fields)
      return Object.fromEntries(names.map((k) => [k, fields[k]]))
    },
  }),
  'line.move': kind({
    ...PLAIN,
    schema: z.object({ sourceId: Id, id: Id, to: z.int().min(0) }),
    apply: (r, p) => {
      const before = r.strategies[p.sourceId] ?? []
      const moved = moveLine(
        before,
        before.findIndex((l) => l.id === p.id),
        p.to,
      )
      if (moved.ok) r.strategies[p.sourceId] = moved.value
    },
    place: (p) => atLine(p.sourceId, p.id),
    words: said('line moved'),
  }),
  'line.remove': kind({
    ...PLAIN,
    schema: z.object({ sourceId: Id, id: Id }),
    apply: (r, p) => {
      const before = r.strategies[p.sourceId]
      if (!before) return
      r.strategies[p.sourceId] = renumberLines(
        before,
        before.filter((l) => l.id !== p.id),
      )
    },
    place: (p) => atLine(p.sourceId, p.id),
    words: said('line removed'),
  }),
  'lines.remove': kind({
    ...PLAIN,
    schema: z.object({ sourceId: Id, ids: z.array(Id).min(1) }),
    apply: (r, p) => {
      const before = r.strategies[p.sourceId]
      if (!before) return
      const gone = new Set(p.ids)
      r.strategies[p.sourceId] = renumberLines(
        before,
        before.filter((l) => !gone.has(l.id)),
      )
    },
    place: (p) => atLine(p.sourceId, p.ids[0]!),
    words: said('lines removed'),
  }),
  'remark.leave': kind({
    ...PLAIN,
    schema: LeftRemark,
    apply: (r, p) => put(r.leftRemarks, p),
    place: sheet,
    words: said('remark left, with a reason'),
  }),
  'remark.raise': removes((r) => r.leftRemarks, atStage('searches'), 'remark raised again'),
}
