import { OpenDemo } from '@/features/shelf/open-demo'
import { Working } from '@/features/shared/working'
import type { Metadata } from 'next'
import { Hasten } from './hasten'

export const metadata: Metadata = { title: 'Luvren' }

export default function DemoPage() {
  return (
    <Working>
      <Hasten />
      <OpenDemo />
    </Working>
  )
}
