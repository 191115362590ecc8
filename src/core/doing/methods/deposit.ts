import type { Doing } from '../doing'

/** Notes where a package of the review lies, as deposited on a day; `digest`, in words, is that of its journal. */
export const deposit: Doing<{ address: string; day: string; digest: string }> = (
  { newId },
  { address, day, digest },
) => {
  const lies = address.trim()
  return lies ? [{ kind: 'package.deposit', payload: { id: newId(), address: lies, day, digest } }] : []
}
