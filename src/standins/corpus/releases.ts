import { readOutline, Thesaurus, type Vocabulary } from '../../core/vocabulary'
import type { Rec } from '../../core/records'
import { FERNHOLLOW_OUTLINE } from '../vocabularies/fernhollow.outline'
import { fernhollowRecord, type HeadingHistory } from './catalogue'
import { drawWorks } from './corpus'
import { Random } from './random'

export const SEED = 'luvren corpus 1'
const LAST = { year: 2026, month: 9 }
/** The newest records wait for their headings. */
const NOT_YET_INDEXED = '2026-07'

export function fernhollowVocabulary(): Vocabulary {
  const { vocabulary, problems } = readOutline(FERNHOLLOW_OUTLINE, {
    id: 'urn:luvren:fernhollow',
    title: 'Fernhollow Thesaurus',
    version: '2026',
  })
  if (problems.length) throw new Error(problems.map((p) => p.message).join('\n'))
  return vocabulary
}

function historyOf(thesaurus: Thesaurus): HeadingHistory {
  return {
    since: (label) => thesaurus.byLabel(label)?.since,
    broader: (label) => {
      const heading = thesaurus.byLabel(label)
      return heading && thesaurus.all(heading.broader)[0]?.label
    },
  }
}

/** The records of the Fernhollow Education Index as they stood in September 2026. */
export function fernhollowRecords(works = 2100): Rec[] {
  const thesaurus = new Thesaurus(fernhollowVocabulary())
  const history = historyOf(thesaurus)
  const records: Rec[] = []
  for (const { study, prose } of drawWorks(works, SEED, LAST)) {
    const random = new Random(`${SEED}/fernhollow/${study.number}`)
    if (!random.chance(study.topic.covered.fernhollow)) continue
    const record = fernhollowRecord(study, prose, random, history, { newest: NOT_YET_INDEXED })
    for (const { label } of record.headings)
      if (!thesaurus.byLabel(label))
        throw new Error(`${study.topic.id}: "${label}" is no heading of the Fernhollow Thesaurus`)
    records.push(record)
  }
  return records
}
