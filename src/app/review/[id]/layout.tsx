import type { ReactNode } from 'react'
import { Frame } from '@/features/frame/frame'

export default async function ReviewLayout({
  children,
  params,
}: {
  children: ReactNode
  params: Promise<{ id: string }>
}) {
  const { id } = await params
  return <Frame reviewId={id}>{children}</Frame>
}
