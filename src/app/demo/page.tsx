import { OpenDemo } from '@/features/shelf/open-demo'
import { Working } from '@/features/shared/working'
import { Hasten } from './hasten'

export default function DemoPage() {
  return (
    <Working>
      <Hasten />
      <OpenDemo />
    </Working>
  )
}
