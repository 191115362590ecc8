import { ShelfFirst } from '@/features/shelf/shelf-first'
import { Ahead } from './ahead'

export default function Page() {
  return (
    <>
      <ShelfFirst />
      <Ahead />
    </>
  )
}
