import {
  referencedWorks,
  sectionDocument,
  resolved,
  resolveFact,
  type AppendixContext,
  type DocumentTree,
  type FactContext,
  type Passage,
} from '@/core/account'
import { judgedWorks, type Told } from '@/core/figures'
import { drawFlow, flowText, openMatters, reasonWords, type FlowWords } from '@/core/selection'
import { sourceInfo } from '@/store/source-info'
import { longDesk, recordsDesk } from '@/workers'

/** The section as a document, with the works that only the desk of records can name. */
export async function sectionOf(
  context: FactContext,
  told: Told,
  passages: readonly Passage[],
): Promise<DocumentTree> {
  const { review } = context
  const { included, excluded } = judgedWorks(review, told.ruled)
  const [kept, out] = await Promise.all([included, excluded.map((e) => e.id)].map(references))
  const reasons = new Map(excluded.map((e) => [e.id, e.reason]))
  const { flow } = context.figures
  const words: FlowWords = {
    sourceOf: (id) => {
      const source = review.sources.find((s) => s.id === id)
      return source ? `from ${sourceInfo(review, source).short}` : 'from a source'
    },
    reasonOf: (reason) => reasonWords(review, reason),
  }
  const drawn = flow.rounds.length > 0 && !openMatters(flow).faults.length
  const whole: AppendixContext = {
    ...context,
    included: kept,
    excluded: out!.map((w) => ({ ...w, reason: reasons.get(w.id) ?? 'none' })),
    ...(drawn ? { flow: { svg: drawFlow(flow, words), text: flowText(flow, words) } } : {}),
  }
  return resolved(sectionDocument(whole, undefined, passages), (ref) => resolveFact(context, ref).text)
}

async function references(ids: readonly string[]) {
  if (!ids.length) return []
  const works = await recordsDesk().shown(ids)
  return referencedWorks(
    works,
    await longDesk().references(
      works.map((w) => w.record),
      'apa',
    ),
  )
}
