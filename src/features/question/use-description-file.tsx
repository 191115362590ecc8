'use client'
import { App } from 'antd'
import type { ReactNode } from 'react'
import { noJsonAt } from '@/core/base'
import { addDescribed } from '@/core/doing'
import { readDescription } from '@/core/profile'
import { useDoor } from '@/page/handed-in'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'

/** Takes a database into the plan from the file that describes it, chosen or handed in anywhere; what cannot be used is told. */
export function useDescriptionFile(): { open: () => void; input: ReactNode } {
  const { deed, doIt } = useStore()
  const { modal } = App.useApp()
  const readFile = async (chosen: File): Promise<void> => {
    const text = await chosen.text()
    let value: unknown
    try {
      value = JSON.parse(text)
    } catch {
      modal.error({
        title: 'This file describes no database',
        content: `${chosen.name} is not JSON from ${noJsonAt(text) ?? 'its start'} on. A description is a JSON file, as docs/profiles.md shows.`,
      })
      return
    }
    const read = readDescription(value)
    if (!read.ok) {
      modal.error({
        title: 'This description cannot be used yet',
        content: (
          <ul>
            {read.problems.slice(0, 12).map((p, i) => (
              <li key={i}>{p.message}</li>
            ))}
          </ul>
        ),
      })
      return
    }
    await doIt(addDescribed, read.value)
  }
  useDoor('description', (chosen) => deed(readFile(chosen)))
  return useFilePick('Description of a database', '.json,application/json', (chosen) =>
    deed(readFile(chosen)),
  )
}
