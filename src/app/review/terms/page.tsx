import { TermsStage } from '@/features/terms/terms-stage'

export default function Page() {
  return <TermsStage />
}
