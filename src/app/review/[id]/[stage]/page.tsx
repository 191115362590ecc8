import { notFound } from 'next/navigation'
import { MethodsStage } from '@/features/methods/methods-stage'
import { QuestionStage } from '@/features/question/question-stage'
import { RecordsStage } from '@/features/records/records-stage'
import { SearchesStage } from '@/features/searches/searches-stage'
import { SelectionStage } from '@/features/selection/selection-stage'
import { TermsStage } from '@/features/terms/terms-stage'

const STAGES = {
  question: QuestionStage,
  terms: TermsStage,
  searches: SearchesStage,
  records: RecordsStage,
  selection: SelectionStage,
  methods: MethodsStage,
}

export default async function StagePage({ params }: { params: Promise<{ stage: string }> }) {
  const { stage } = await params
  if (!(stage in STAGES)) notFound()
  const Stage = STAGES[stage as keyof typeof STAGES]
  return <Stage />
}
