'use client'
import { App, Button, Select } from 'antd'
import { useState } from 'react'
import { plural } from '@/core/base'
import { typesSet } from '@/core/doing'
import { TYPE_WORDS } from '@/core/records'
import { standingImports } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { longDesk, recordsDesk } from '@/workers'
import { bringIn } from '../../shared/tell-apart'

const OPTIONS = TYPE_WORDS.map((value) => ({ value, label: value }))

/** Sets the type of all works that are listed, as far as their records came from files: those of databases here stay. */
export function TypesBox({ number, count }: { number: number; count: number }) {
  const review = useSession((s) => s.folded.review)
  const store = useStore()
  const { message } = App.useApp()
  const [type, setType] = useState<string>()
  const [busy, setBusy] = useState(false)
  const set = async (): Promise<void> => {
    if (type === undefined) return
    setBusy(true)
    try {
      const names = await recordsDesk().lastNames(number)
      const parts = typesSet(standingImports(review), names)
      const records = parts.reduce((n, p) => n + p.names.length, 0)
      if (!records) {
        message.info(
          'None of these records came from a file: of databases that ship with Luvren the type stays.',
        )
        return
      }
      await store.lay(async (laying) => {
        const brought = []
        for (const { of, names: own } of parts)
          brought.push({
            sourceId: of.sourceId,
            at: await longDesk().layWithType(of, own, type),
            count: of.count,
            ...(of.runId === undefined ? {} : { runId: of.runId }),
            ...(of.broken ? { broken: of.broken } : {}),
            file: of.file!,
            insteadOf: of.id,
            insteadBecause: `the type of ${plural(own.length, 'record')} was set by hand: ${type}`,
          })
        await bringIn(store, laying, brought)
      })
      message.success(`${plural(records, 'record')} ${records === 1 ? 'is' : 'are'} called ${type}.`)
    } finally {
      setBusy(false)
    }
  }
  if (!standingImports(review).some((i) => i.file)) return null
  return (
    <>
      <h3>Set the type</h3>
      <p className="types-box">
        <Select
          size="small"
          aria-label="Type for all that are listed"
          placeholder="type"
          value={type ?? null}
          options={OPTIONS}
          onChange={setType}
          popupMatchSelectWidth={false}
        />
        <Button size="small" disabled={type === undefined || busy} onClick={() => store.deed(set())}>
          Set it for {plural(count, 'work')} listed
        </Button>
      </p>
    </>
  )
}
