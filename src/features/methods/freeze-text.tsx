'use client'
import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { factsIn, freezeText, frozenBytes, type FactContext, type Passage } from '@/core/account'
import { freezeSection } from '@/core/doing'
import type { Told } from '@/core/figures'
import type { FrozenText } from '@/core/review'
import { useStore } from '@/page/provider'
import { useYields } from '@/page/yields'
import { sectionOf } from './section-files'

/** Names the section as it is now, and freezes it. */
export function FreezeText({
  context,
  told,
  passages,
}: {
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const { deed, doIt, lay, now } = useStore()
  const [name, setName] = useState('')
  const [purpose, setPurpose] = useState<FrozenText['purpose']>('submission')
  const counting = useYields((s) => s.counting)
  const last = context.entries?.at(-1)
  const freeze = async (): Promise<void> => {
    if (!last) return
    const at = now()
    const tree = await sectionOf(context, told, passages)
    const journal = { seq: last.seq, digest: last.digest }
    const text = freezeText(tree, factsIn(context, passages), context.figures, journal, at)
    await lay(async ({ keepBytes }) =>
      doIt(freezeSection, {
        name,
        at,
        digest: await keepBytes(frozenBytes(text)),
        journal: last.digest,
        purpose,
      }),
    )
    setName('')
  }
  return (
    <>
      <p className="serif">
        A frozen text keeps its words, numbers and appendices, whatever you do afterwards, and prints the
        state of the record that it was made from.
      </p>
      <p className="in-row">
        <Input
          size="small"
          placeholder="as sent to the supervisor"
          aria-label="Name of the frozen text"
          value={name}
          onChange={(e) => setName(e.target.value)}
          className="at-most"
        />
        <Select
          size="small"
          aria-label="What it is frozen for"
          value={purpose}
          onChange={setPurpose}
          options={[
            { value: 'submission', label: 'for submission' },
            { value: 'version', label: 'as a version' },
          ]}
          popupMatchSelectWidth={false}
        />
        <Button
          size="small"
          disabled={counting || !name.trim() || !passages.length}
          onClick={() => deed(freeze())}
        >
          Freeze the text
        </Button>
      </p>
    </>
  )
}
