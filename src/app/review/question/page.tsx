import { QuestionStage } from '@/features/question/question-stage'

export default function Page() {
  return <QuestionStage />
}
