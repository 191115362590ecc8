'use client'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { dateWords, type FactContext } from '@/core/account'
import { digestWords } from '@/core/base'
import { deposit } from '@/core/doing'
import { useStore } from '@/page/provider'
import { DayField } from '@/ui/day-field'

/** Where the record of the review lies, noted once somebody has deposited a package of it; the section says so. */
export function Deposited({ context: { review, entries } }: { context: FactContext }) {
  const { deed, doIt, now } = useStore()
  const [address, setAddress] = useState('')
  const [day, setDay] = useState<string | undefined>(() => now().slice(0, 10))
  const last = entries?.at(-1)
  if (!last) return null
  const digest = digestWords(last.digest)
  const note = (): void => {
    if (!day) return
    deed(doIt(deposit, { address, day, digest }))
    setAddress('')
  }
  const all = review.deposits ?? []
  return (
    <section aria-label="Where the record lies" className="deposited">
      <h2>Where the record lies</h2>
      {all.map((d) => (
        <p key={d.id} className="serif">
          Deposited on {dateWords(d.day)} at {d.address} <span className="sub">as “{d.digest}”</span>
        </p>
      ))}
      <p className="sub">
        Once a package is in an archive, note where: readers are led there by the section. As it is now, the
        record reads out as <b>{digest}</b>.
      </p>
      <p className="deposited-note">
        <Input
          size="small"
          placeholder="its address or DOI there"
          aria-label="Where the package lies"
          value={address}
          onChange={(e) => setAddress(e.target.value)}
          onPressEnter={() => address.trim() && day && note()}
        />
        <DayField label="deposited on" value={day} set={setDay} past />
        <Button size="small" disabled={!address.trim() || !day} onClick={note}>
          Note it
        </Button>
      </p>
    </section>
  )
}
