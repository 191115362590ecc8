import type { CommandOf, Review, SearchAnswer } from '../../review'
import type { Doing } from '../doing'

/** The voice in which the section is told. */
export const chooseVoice: Doing<Review['account']['voice']> = (_at, voice) => [
  { kind: 'account.voice', payload: { voice } },
]
/** The order and the length in which the section is told. */
export const chooseTelling: Doing<CommandOf<'account.telling'>['payload']> = (_at, telling) => [
  { kind: 'account.telling', payload: telling },
]

/** A part of the section is drafted anew: what somebody wrote in its place goes. */
export const dropOwnWords: Doing<CommandOf<'account.redraft'>['payload']> = (_at, { passage }) => [
  { kind: 'account.redraft', payload: { passage } },
]

/** Leaves a piece of advice, because; nothing without a reason. */
export const leaveAdvice: Doing<{ key: string; reason: string }> = (_at, { key, reason }) =>
  reason.trim() ? [{ kind: 'advice.leave', payload: { key, reason: reason.trim() } }] : []
/** Takes a piece of advice up again that was left. */
export const takeAdviceUp: Doing<string> = (_at, key) => [{ kind: 'advice.resume', payload: { key } }]
/** Says that the section was read as it is now, with every fact as it reads. */
export const sayRead: Doing<Readonly<Record<string, string>>> = ({ now }, facts) => [
  { kind: 'text.read', payload: { at: now, facts: { ...facts } } },
]

/** Answers an element of the search review, or changes an answer. */
export const answerElement: Doing<{
  reader: string
  before: SearchAnswer | undefined
  part: Pick<SearchAnswer, 'element'> & Partial<SearchAnswer>
}> = (_at, { reader, before, part }) => [
  { kind: 'searchreview.answer', payload: { verdict: 'none', words: '', ...before, ...part, reader } },
]
/** Withdraws what one said of the searches oneself. */
export const takePointBack: Doing<{ reader: string; id: string }> = (_at, point) => [
  { kind: 'searchreview.withdraw', payload: point },
]

/** Keeps the section as a frozen text: its bytes lie beside the journal already. */
export const freezeSection: Doing<Omit<CommandOf<'text.freeze'>['payload'], 'id'>> = ({ newId }, about) => [
  { kind: 'text.freeze', payload: { id: newId(), ...about, name: about.name.trim() } },
]
