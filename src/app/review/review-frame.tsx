'use client'
import { useSearchParams } from 'next/navigation'
import type { ReactNode } from 'react'
import { Frame } from '@/features/frame/frame'
import { startRecords } from '@/workers'

if (typeof window !== 'undefined') startRecords()

/** The frame around the review that the address names. */
export function ReviewFrame({ children }: { children: ReactNode }) {
  return <Frame reviewId={useSearchParams().get('id') ?? ''}>{children}</Frame>
}
