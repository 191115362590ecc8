import type { CommandOf, Line } from '../../review'
import type { Doing } from '../doing'

type DraftedLine = Pick<Line, 'text' | 'limits'> & Partial<Line>

/** Puts drafted strategies into sources that have none: all of them are one press. */
export const addDrafts: Doing<readonly { sourceId: string; lines: readonly DraftedLine[] }[]> = (
  { newId },
  drafts,
) =>
  drafts.flatMap(({ sourceId, lines }) =>
    lines.length
      ? [
          {
            kind: 'strategy.draft' as const,
            payload: { sourceId, lines: lines.map((l) => ({ id: newId(), note: '', drafted: true, ...l })) },
          },
        ]
      : [],
  )

/** Puts a line into a strategy, at a place counted from 0. */
export const addLine: Doing<CommandOf<'line.add'>['payload']> = (_at, payload) => [
  { kind: 'line.add', payload },
]

/** Moves a line; what others say of it follows. */
export const putLine: Doing<CommandOf<'line.move'>['payload']> = (_at, payload) => [
  { kind: 'line.move', payload },
]

/** Takes lines out; nothing where none is named. */
export const takeLinesOut: Doing<{ sourceId: string; ids: readonly string[] }> = (_at, { sourceId, ids }) =>
  ids.length ? [{ kind: 'lines.remove', payload: { sourceId, ids: [...ids] } }] : []
