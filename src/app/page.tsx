import { Shelf } from '@/features/shelf/shelf'
import { Ahead } from './ahead'

export default function Page() {
  return (
    <>
      <Shelf />
      <Ahead />
    </>
  )
}
