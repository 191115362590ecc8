'use client'
import Link from 'next/link'
import { reviewAddress } from '@/page/address'
import { useSession } from '@/page/provider'
import { KeyHint } from './key-hint'

/** The way to a stage, within a sentence, with its key as the person has set it. */
export function StageLink({
  to,
}: {
  to: 'Question' | 'Terms' | 'Searches' | 'Records' | 'Selection' | 'Methods'
}) {
  const id = useSession((s) => s.reviewId) ?? ''
  const stage = to.toLowerCase()
  return (
    <>
      <Link href={reviewAddress(id, stage)}>{to}</Link> <KeyHint of={`stage-${to}`} />
    </>
  )
}
