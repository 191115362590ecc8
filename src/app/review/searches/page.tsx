import { SearchesStage } from '@/features/searches/searches-stage'

export default function Page() {
  return <SearchesStage />
}
