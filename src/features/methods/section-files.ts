import {
  referencedWorks,
  sectionDocument,
  withWorks,
  resolved,
  resolveFact,
  type DocumentTree,
  type FactContext,
  type Passage,
} from '@/core/account'
import { judgedWorks, noticesIn, type Notices, type Told } from '@/core/figures'
import { flowWords } from '@/core/selection'
import { sourceInfo } from '@/standins/source-info'
import { longDesk, recordsDesk } from '@/workers'

/** The section as a document, with the works that only the desk of records can name. */
export async function sectionOf(
  context: FactContext,
  told: Told,
  passages: readonly Passage[],
): Promise<DocumentTree> {
  const { review } = context
  const { included, excluded } = judgedWorks(review, told.ruled)
  const { on } = noticesIn(told.ruled.works, review.related)
  const [kept, out] = await Promise.all(
    [included, excluded.map((e) => e.id)].map((ids) => references(ids, on)),
  )
  const whole = withWorks(
    context,
    kept!,
    out!,
    excluded,
    flowWords(review, (s) => sourceInfo(review, s).short),
  )
  return resolved(sectionDocument(whole, undefined, passages), (ref) => resolveFact(context, ref).text)
}

async function references(ids: readonly string[], on: Notices['on']) {
  if (!ids.length) return []
  const works = await recordsDesk().shown(ids)
  const notices = new Map(
    (await recordsDesk().shown(ids.flatMap((id) => on.get(id) ?? []))).map((w) => [w.id, w.record]),
  )
  return referencedWorks(
    works,
    await longDesk().references(
      works.map((w) => w.record),
      'apa',
    ),
    (id) => (on.get(id) ?? []).flatMap((notice) => notices.get(notice) ?? []),
  )
}
