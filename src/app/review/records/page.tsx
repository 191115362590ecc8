import { RecordsStage } from '@/features/records/records-stage'

export default function Page() {
  return <RecordsStage />
}
