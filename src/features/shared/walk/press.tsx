'use client'
import { keyOf, useAllActions, useRegistry } from '@/page/actions'
import { keySign } from '@/ui/key-sign'

/** How an action is done by somebody who works as they have set it: by its key, by its name, or found among all. */
export function Press({ of, first = false }: { of: string; first?: boolean }) {
  const own = useRegistry((s) => s.own)
  const action = useAllActions().find((a) => a.id === of)
  const key = action && !own.off ? keyOf(action, own) : undefined
  const press = first ? 'Press' : 'press'
  if (key)
    return (
      <>
        {press} <kbd>{keySign(key)}</kbd>
      </>
    )
  if (!action) return <>{press} its key, which the strip below shows when it can be done</>
  return (
    <>
      {first ? 'Choose' : 'choose'} <b>{action.label}</b>
    </>
  )
}
