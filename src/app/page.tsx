import { Shelf } from '@/features/shelf/shelf'

export default function Page() {
  return <Shelf />
}
