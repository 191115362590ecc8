import { canonicalJson } from '../../base'
import type { CommandOf, Retrieval } from '../../review'
import { LOAN_DAYS, workingDaysAfter } from '../../selection'
import type { Doing } from '../doing'

/** What is noted of a full text from now on, in the place of what was: what belongs to a loan or a refusal goes with it. */
export function retrievalSet(
  before: Retrieval | undefined,
  now: { recordId: string } & Partial<Omit<Retrieval, 'recordId'>> & Pick<Retrieval, 'state'>,
): CommandOf<'retrieval.set'> {
  const { link, file } = before ?? {}
  return {
    kind: 'retrieval.set',
    payload: { ...(link === undefined ? {} : { link }), ...(file ? { file } : {}), ...now },
  }
}

const SAID = ['state', 'asked', 'due', 'why', 'link', 'file'] as const
type Said = Pick<Retrieval, (typeof SAID)[number]>
const saysSame = (one: Said, other: Said): boolean =>
  SAID.every((part) => canonicalJson(one[part] ?? null) === canonicalJson(other[part] ?? null))

/**
 * Notes where a full text stands. A loan is due some working days after it was asked for, where no day is named; one that is
 * asked for already keeps the day on which it was. A reason belongs to a text that is not to be had.
 */
export const retrieve: Doing<{
  recordId: string
  before: Retrieval | undefined
  state: Retrieval['state']
  due?: string | undefined
  why?: string | undefined
}> = ({ now }, { recordId, before, state, due, why }) => {
  const today = now.slice(0, 10)
  const asked = before?.state === 'loan asked' && before.asked ? before.asked : today
  const loan = state === 'loan asked' ? { asked, due: due ?? workingDaysAfter(asked, LOAN_DAYS) } : {}
  const reason = why?.trim() ?? (before?.state === state ? before.why : undefined)
  const noted = retrievalSet(before, {
    recordId,
    state,
    ...loan,
    ...(state === 'not to be had' && reason ? { why: reason } : {}),
  })
  // What stands so already is no deed.
  return before && saysSame(before, noted.payload) ? [] : [noted]
}

/** Notes that the file of a full text is here: it lies beside the journal already. A loan has ended then. */
export const keepText: Doing<{
  recordId: string
  before: Retrieval | undefined
  file: NonNullable<Retrieval['file']>
}> = (_at, { recordId, before, file }) => [retrievalSet(before, { recordId, state: 'have', file })]
