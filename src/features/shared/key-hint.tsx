'use client'
import { keyOf, useAllActions, useRegistry, type Action } from '@/page/actions'
import { keySign } from '@/ui/key-sign'

/**
 * The key of an action where it acts, as the person has set it; nothing where keys are switched off. The action itself,
 * or its id where it is offered elsewhere; nothing then, too, while it is not offered.
 */
export function KeyHint({ of }: { of: Action | string }) {
  const own = useRegistry((s) => s.own)
  const offered = useAllActions()
  const found = typeof of === 'string' ? offered.find((a) => a.id === of) : of
  const key = found && keyOf(found, own)
  return own.off || !key ? null : <kbd>{keySign(key)}</kbd>
}
