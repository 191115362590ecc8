'use client'
import { App, Button } from 'antd'
import { useMemo } from 'react'
import { plural } from '@/core/base'
import { newerProblem } from '@/core/review'
import { faultAtWork, faultOfState, rescueInWords } from '@/store/fault-words'
import { useSession, useStore } from '@/page/provider'
import { rescuePackage } from '../shared/hand-on/save-package'

/** Says what keeps the work from being saved or what is damaged, and how to get it out. */
export function Trouble() {
  const store = useStore()
  const { deed, retrySave } = store
  const fault = useSession((s) => faultOfState(s.state, s.fault))
  const unsaved = useSession((s) => s.state !== 'saved')
  const lost = useSession((s) => s.lost)
  const missing = useSession((s) => s.missing)
  const littleRoom = useSession((s) => s.littleRoom)
  const damage = useSession((s) => s.damage)
  const entries = useSession((s) => s.entries)
  const newer = useMemo(() => newerProblem(entries), [entries])
  const { message } = App.useApp()
  const rescue = async (): Promise<void> => {
    const words = rescueInWords(fault, await rescuePackage(store))
    if (words) deed(message.info(words, 12))
  }
  const save = (
    <Button size="small" onClick={() => deed(rescue())}>
      Save a package
    </Button>
  )
  if (fault)
    return (
      <div className="trouble" role="alert">
        {faultAtWork(fault, unsaved, missing)}{' '}
        <Button size="small" onClick={retrySave}>
          Try again
        </Button>{' '}
        {save}
      </div>
    )
  if (newer)
    return (
      <div className="trouble" role="alert">
        {newer.message} It is shown as far as this one understands it, so a number may be another here, and
        nothing can be changed. {save}
      </div>
    )
  if (damage.length || lost)
    return (
      <div className="trouble" role="alert">
        {damage.length > 0 && (
          <>
            {damage[0]!.message} {damage.length > 1 && `${plural(damage.length - 1, 'more fault')} like it. `}
            Nothing of the journal is thrown away. If you have a package of this review from before, it is the
            better one.{' '}
          </>
        )}
        {lost > 0 && (
          <>
            {plural(lost, 'record')} that {lost === 1 ? 'was' : 'were'} brought in {lost === 1 ? 'is' : 'are'}{' '}
            no longer in the storage of this browser, and the works behind them are not shown. Open a package
            of this review from the shelf: what it holds is put back.{' '}
          </>
        )}
        {save}
      </div>
    )
  if (littleRoom)
    return (
      <div className="trouble" role="status">
        There is little room left in the storage of this browser. Everything is kept so far; free some space,
        or save a package and remove reviews that you no longer need. {save}
      </div>
    )
  return null
}
