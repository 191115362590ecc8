import { SelectionStage } from '@/features/selection/selection-stage'

export default function Page() {
  return <SelectionStage />
}
