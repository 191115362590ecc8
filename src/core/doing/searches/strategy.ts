import {
  deedsOf,
  type Attachment,
  type CommandOf,
  type Line,
  type Matter,
  type Source,
  type TakenOver,
} from '../../review'
import { appendLines } from '../../strategy'
import type { Doing } from '../doing'

type Put = CommandOf<'strategy.set'>['payload']

/** Puts a strategy in the place of the one there is, or lines that were changed; why is told. */
export const putStrategy: Doing<Put> = (_at, payload) => [{ kind: 'strategy.set', payload }]

/**
 * Carries lines over to other sources, in the place of theirs or, with `beside`, behind them. Each line gets an identity of
 * its own there: its runs are not the runs here.
 */
export const putElsewhere: Doing<{
  from: Pick<Source, 'name'>
  to: readonly { sourceId: string; lines: readonly Omit<Line, 'note' | 'drafted'>[]; beside: boolean }[]
}> = ({ review, newId }, { from, to }) =>
  to.map(({ sourceId, lines, beside }) => ({
    kind: 'strategy.set',
    payload: {
      sourceId,
      lines: appendLines(
        beside ? (review.strategies[sourceId] ?? []) : [],
        lines.map((l): Line => ({ ...l, id: newId(), note: '', drafted: false })),
      ),
      why: 'brought over',
      from: from.name,
    },
  }))

/** Takes a line out that has no words yet; nothing where it has some. */
export const dropEmptyLine: Doing<{ sourceId: string; line: Line }> = (_at, { sourceId, line }) =>
  line.text || line.described ? [] : [{ kind: 'line.remove', payload: { sourceId, id: line.id } }]

/** Says what a line takes over from elsewhere. */
export const sayTakenOver: Doing<{ sourceId: string; id: string; takenOver: TakenOver }> = (_at, payload) => [
  { kind: 'line.change', payload },
]

/** Takes a remark on a strategy up again that was left. */
export const takeRemarkUp: Doing<string> = (_at, id) => [{ kind: 'remark.raise', payload: { id } }]

/** Keeps a file with a search as its evidence: its bytes lie beside the journal already. */
export const keepEvidence: Doing<Omit<Attachment, 'id' | 'at'>> = ({ newId, now }, about) => [
  { kind: 'attachment.add', payload: { id: newId(), at: now, ...about } },
]
export const dropEvidence: Doing<string> = (_at, id) => [{ kind: 'attachment.remove', payload: { id } }]

/** Says something of a line to whoever runs the searches; nothing without words. */
export const addComment: Doing<Omit<CommandOf<'searchreview.comment'>['payload'], 'id'>> = (
  { newId },
  comment,
) =>
  comment.text.trim()
    ? [{ kind: 'searchreview.comment', payload: { id: newId(), ...comment, text: comment.text.trim() } }]
    : []

/** All of these databases are searched in the latest release from now on. */
export const chooseLatest: Doing<readonly Source[]> = (_at, sources) =>
  sources.map(({ release: _older, ...rest }) => ({ kind: 'source.set', payload: rest }))

/** Takes matters of another history of the review over, with what they need. */
export const takeMatters: Doing<{ matters: readonly Matter[]; chosen: ReadonlySet<string> }> = (
  _at,
  { matters, chosen },
) => deedsOf(matters, chosen)
