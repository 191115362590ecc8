import { MethodsStage } from '@/features/methods/methods-stage'

export default function Page() {
  return <MethodsStage />
}
