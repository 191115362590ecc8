import { ShelfFirst } from '@/features/shelf/shelf-first'
import type { Metadata } from 'next'
import { Ahead } from './ahead'

export const metadata: Metadata = { title: 'Luvren' }

export default function Page() {
  return (
    <>
      <ShelfFirst />
      <Ahead />
    </>
  )
}
