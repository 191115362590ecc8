'use client'
import { tellApartAnew } from '@/core/doing'
import { App, Button } from 'antd'
import { useState } from 'react'
import { plural, thousands } from '@/core/base'
import { RULES_VERSION } from '@/core/records'
import { useSession, useStore } from '@/page/provider'
import { partitionCommand } from '../../shared/tell-apart'

/**
 * Where records are told apart by older rules, what the present ones would make of them: said first, put into force only
 * when asked for.
 */
export function NewerRules() {
  const store = useStore()
  const { message } = App.useApp()
  const review = useSession((s) => s.folded.review)
  const works = useSession((s) => s.told.figures.works)
  const [progress, setProgress] = useState<string>()
  if ((review.partition?.rules ?? 0) >= RULES_VERSION || !review.imports.length) return null
  const take = async (): Promise<void> => {
    setProgress('Comparing …')
    try {
      await store.lay(async (laying) => {
        const command = await partitionCommand(laying, review.imports, (done, of) => {
          setProgress(`${thousands(done)} of ${plural(of, 'record')} compared …`)
          return true
        })
        if (command) await store.doIt(tellApartAnew, command)
      })
      const { figures } = store.session.getState().told
      message.success(
        `The present rules are in force: ${plural(figures.works, 'work')} where there were ${thousands(works)}, ${plural(figures.pairsToSettle, 'pair')} to settle. Undo takes them back.`,
        8,
      )
    } finally {
      setProgress(undefined)
    }
  }
  return (
    <div className="quiet-note">
      These records are told apart by the first rules: the same number in one source, or the same DOI. The
      present rules also compare titles, authors and places. What was ruled stays with its records.{' '}
      <Button size="small" disabled={progress !== undefined} onClick={() => store.deed(take())}>
        {progress ?? 'Take the present rules'}
      </Button>
    </div>
  )
}
