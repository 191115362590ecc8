import { OpenDemo } from '@/features/shelf/open-demo'

export default function DemoPage() {
  return <OpenDemo />
}
