import type { Rec } from '../../core/records'
import { readOutline, Thesaurus, type Vocabulary } from '../../core/vocabulary'
import { FERNHOLLOW_OUTLINE } from '../vocabularies/fernhollow.outline'
import { GIRDER_OUTLINE } from '../vocabularies/girder.outline'
import { MINDMERE_OUTLINE } from '../vocabularies/mindmere.outline'
import {
  fernhollowRecord,
  girderRecord,
  mindmereRecord,
  quaysideRecord,
  widebandRecord,
  type CopyContext,
  type HeadingHistory,
} from './catalogue'
import { drawWorks, TOPICS, type Work } from './corpus'
import { drawNotices, noticeRecord, type Notice } from './notices'
import { referencesOf } from './references'
import { drawTheses, thesisRecord } from './theses'
import { RELEASES, type Release } from '../release'
import { Random } from './random'

export const SEED = 'luvren corpus 1'
export const WORKS = 6000
const LAST = { year: 2026, month: 9 }

export const SOURCE_IDS = ['fernhollow', 'girder', 'mindmere', 'wideband', 'quayside'] as const
export type SourceId = (typeof SOURCE_IDS)[number]

/** Records wait this long for their headings. */
const UNINDEXED_FROM: Record<Release, string> = { '2026-03': '2026-01', '2026-09': '2026-07' }

const OUTLINES: Partial<Record<SourceId, { title: string; outline: string }>> = {
  fernhollow: { title: 'Fernhollow Thesaurus', outline: FERNHOLLOW_OUTLINE },
  girder: { title: 'Girder & Sound Thesaurus', outline: GIRDER_OUTLINE },
  mindmere: { title: 'Mindmere Thesaurus', outline: MINDMERE_OUTLINE },
}

/** The vocabulary of a stand-in; undefined where it has none. */
export function vocabularyOf(id: SourceId): Vocabulary | undefined {
  const about = OUTLINES[id]
  if (!about) return undefined
  const { vocabulary, problems } = readOutline(about.outline, {
    id: `urn:luvren:${id}`,
    title: about.title,
    version: '2026',
  })
  if (problems.length) throw new Error(problems.map((p) => `${about.title}: ${p.message}`).join('\n'))
  return vocabulary
}

function historyOf(vocabulary: Vocabulary | undefined): HeadingHistory {
  const thesaurus = vocabulary && new Thesaurus(vocabulary)
  return {
    since: (label) => thesaurus?.byLabel(label)?.since,
    broader: (label) => {
      const heading = thesaurus?.byLabel(label)
      return heading && thesaurus?.all(heading.broader)[0]?.label
    },
  }
}

let works: Work[] | undefined
/** All works, drawn once. */
export const allWorks = (): Work[] => (works ??= drawWorks(WORKS, SEED, LAST))

const THESES = 160
let theses: Work[] | undefined
/** Doctoral theses, which libraries and one index of education hold; drawn apart, numbered behind all other works. */
export const allTheses = (): Work[] => (theses ??= drawTheses(THESES, SEED, TOPICS, WORKS + 1, LAST))

let notices: Notice[] | undefined
/** What became of works after they were published. */
export const allNotices = (): Notice[] => (notices ??= drawNotices(allWorks(), SEED, LAST))

let near: ReadonlyMap<string, readonly Work[]> | undefined
/** Works by their topic. */
function byTopic(): ReadonlyMap<string, readonly Work[]> {
  if (near) return near
  const found = new Map<string, Work[]>()
  for (const work of allWorks()) {
    const { id } = work.study.topic
    const known = found.get(id)
    if (known) known.push(work)
    else found.set(id, [work])
  }
  return (near = found)
}

/** How likely a database that covers everything has a work: it is patchy for the old and for small languages. */
function covered(id: SourceId, { study }: Work): number {
  if (id === 'fernhollow' || id === 'girder' || id === 'mindmere') return study.topic.covered[id]
  if (id === 'wideband') return study.year < 1990 ? 0 : study.language === 'en' ? 0.62 : 0.3
  return study.openAccess ? 0.5 : 0.22
}

/** A text for the library's layer: the abstract, and around it what a paper says besides. */
function fulltextOf(work: Work, all: readonly Work[], random: Random): string {
  const { topic, outcome } = work.study
  const near = Array.from({ length: 3 }, () => all[random.int(0, all.length - 1)]!).filter(
    (w) => w.study.topic.id === topic.id || random.chance(0.3),
  )
  const cited = near.map(
    (w) =>
      `${w.study.authors[0]!.family} (${w.study.year}) reported on ${w.study.exposure.np} and ${w.study.outcome.np}.`,
  )
  return [
    ...random.some(topic.background, 2),
    ...random.some(topic.methods, 1),
    `The main outcome was ${outcome.np}.`,
    ...cited,
  ]
    .map((s) => s.replace(/\[([^[\]|]*)\|?[^[\]]*\]/g, '$1'))
    .join(' ')
}

/** Some records are withdrawn between the releases. */
const withdrawn = (random: Random): boolean => random.chance(0.004)

/** Which databases hold theses, and how likely one. */
const HOLDS_THESES: Partial<Record<SourceId, number>> = { fernhollow: 0.35, quayside: 0.7 }

/** The record of a work in a stand-in; undefined where it does not hold it in this release. */
function recordOf(
  id: SourceId,
  work: Work,
  release: Release,
  history: HeadingHistory,
  likely = covered(id, work),
): Rec | undefined {
  const { study, prose } = work
  const random = new Random(`${SEED}/${id}/${study.number}`)
  if (!random.chance(likely)) return undefined
  const gone = withdrawn(random)
  if (study.entered > release || (gone && release !== RELEASES[0])) return undefined
  const context: CopyContext = { random, history, unindexedFrom: UNINDEXED_FROM[release] }
  if (id === 'fernhollow') return fernhollowRecord(study, prose, context)
  if (id === 'girder') return girderRecord(study, prose, context)
  if (id === 'mindmere') return mindmereRecord(study, prose, context)
  if (id === 'wideband') return widebandRecord(study, prose, context)
  return quaysideRecord(study, prose, context, fulltextOf(work, allWorks(), random))
}

/**
 * The records of a stand-in in a release: works in order of their numbers, theses, then notices of works that it holds.
 * The same every time.
 */
export function recordsOf(id: SourceId, release: Release): Rec[] {
  const history = historyOf(vocabularyOf(id))
  const held = new Map<Work, Rec>()
  for (const work of allWorks()) {
    const record = recordOf(id, work, release, history)
    if (record) held.set(work, record)
  }
  if (id === 'wideband')
    for (const [work, record] of held)
      record.references = referencesOf(work, byTopic(), allWorks(), SEED, (w) => held.get(w)?.id)
  const likely = HOLDS_THESES[id]
  const theses = likely === undefined ? [] : allTheses()
  return [
    ...held.values(),
    ...theses.flatMap((work) => {
      const record = recordOf(id, work, release, history, likely)
      return record ? [thesisRecord(record, work.study)] : []
    }),
    ...allNotices().flatMap((notice) => {
      const record = held.get(notice.of)
      return record && notice.entered <= release ? [noticeRecord(record, notice)] : []
    }),
  ]
}

/** Is the work on the topic of the demo review? Known to tests only. */
export function onTopic({ study }: Work): boolean {
  const sound = [
    'rooms-and-listening',
    'noise-and-reading',
    'sound-field',
    'hearing-loss',
    'second-language-listening',
    'open-plan-schools',
  ].includes(study.topic.id)
  const listening = /listening|speech perception|spoken|reading/.test(study.outcome.np)
  return sound && listening && (study.stage === 'primary' || study.stage === 'special')
}
