import type { Doing } from '../doing'

/** Freezes the plan as a protocol; `readers`: how many are to read each work. */
export const freezePlan: Doing<{ readers: number }> = ({ newId, now }, { readers }) => [
  { kind: 'protocol.freeze', payload: { id: newId(), at: now, readers } },
]
/** The plan as it is now becomes the protocol; nothing without a reason. */
export const amendProtocol: Doing<{ readers: number; why: string }> = ({ newId, now }, { readers, why }) =>
  why.trim() ? [{ kind: 'protocol.amend', payload: { id: newId(), at: now, readers, why: why.trim() } }] : []
/** Says why the work departs from the protocol; the same words are no deed. */
export const sayWhyDeparted: Doing<{ key: string; before: string; reason: string }> = (
  _at,
  { key, before, reason },
) =>
  reason.trim() === before ? [] : [{ kind: 'departure.explain', payload: { key, reason: reason.trim() } }]
/** Notes where the protocol is registered or deposited; nothing without a place, or where it says the same. */
export const noteRegistration: Doing<{ place: string; number: string }> = ({ review }, { place, number }) => {
  const known = review.registration
  const same = place === (known?.place ?? '') && number === (known?.number ?? '')
  return same || !place
    ? []
    : [{ kind: 'protocol.register', payload: { ...(known?.on ? { on: known.on } : {}), place, number } }]
}
