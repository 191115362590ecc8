import type { Packed, Reviewed, SearchAnswer } from '../core/review'
import { DemoSide } from './demo-side'
import type { Diary } from './diary'

/** The librarian of the demo: an id, and what she is called. */
const LIBRARIAN = 'demo-person-3'

const ANSWERS: readonly [Reviewed, SearchAnswer['verdict'], string][] = [
  ['question', 'none', 'the concepts fit the question, and it is good that the setting is not required'],
  ['operators', 'none', ''],
  ['headings', 'suggested', 'say where a thesaurus has no heading for an idea of yours'],
  ['words', 'suggested', 'consider the people as well as the place'],
  ['spelling', 'none', ''],
  ['limits', 'none', 'the reasons convince me'],
]

/** What was done with those by which something could be better. */
const FOUND: readonly [Reviewed, 'taken' | 'declined', string][] = [
  ['headings', 'taken', 'what has no heading is told with the terms'],
  ['words', 'declined', 'the people are in nearly every record of these databases'],
]

/** The searches of spring, looked over by a librarian by file; half of what she asks for is acted on. */
export function reviewSearches(diary: Diary, blobs: Packed['blobs']): void {
  const side = new DemoSide(diary, LIBRARIAN, 'H. Marrow')
  for (const [element, verdict, words] of ANSWERS)
    side.say({
      kind: 'searchreview.answer',
      payload: { reader: LIBRARIAN, element, verdict, words },
    })
  const { strategies, runs } = diary.review()
  const searched = [...new Set(runs.map((r) => r.sourceId))]
  const comment = (
    sourceId: string,
    has: RegExp,
    text: string,
    better?: (line: string) => string,
  ): string => {
    const line = strategies[sourceId]!.find((l) => has.test(l.text))!
    const id = diary.id('comment')
    side.say({
      kind: 'searchreview.comment',
      payload: {
        reader: LIBRARIAN,
        id,
        sourceId,
        lineId: line.id,
        of: line.text,
        text,
        ...(better ? { proposal: { text: better(line.text) } } : {}),
      },
    })
    return line.id
  }
  const noted = comment(
    'demo-mindmere',
    /"Auditory masking"/,
    'This thesaurus has no heading for reverberation time. Say so beside the line.',
  )
  comment('demo-fernhollow', /classroom\*/, 'Readers may miss pupil*.', (line) =>
    line.replace(/\)$/, ' OR pupil*)'),
  )
  side.say({
    kind: 'searchreview.finish',
    payload: {
      reader: LIBRARIAN,
      as: 'subject librarian',
      at: diary.now(),
      of: searched.map((sourceId) => ({ sourceId, head: diary.entries.at(-1)!.digest })),
      verdict: 'revisions suggested',
    },
  })
  side.takeIn(blobs)
  diary.do('line.change', {
    sourceId: 'demo-mindmere',
    id: noted,
    note: 'no heading for reverberation time; words alone find it',
  })
  const said = diary.review().searchReviews![LIBRARIAN]!
  const [first, second] = said.comments
  for (const [element, as, reason] of FOUND) {
    const answer = said.answers.find((a) => a.element === element)!
    diary.do('searchreview.settle', { reader: LIBRARIAN, id: element, element, said: answer.at, as, reason })
  }
  diary.do('searchreview.settle', {
    reader: LIBRARIAN,
    id: first!.id,
    said: first!.at,
    as: 'taken',
    reason: 'a note stands beside the line',
  })
  diary.do('searchreview.settle', {
    reader: LIBRARIAN,
    id: second!.id,
    said: second!.at,
    as: 'declined',
    reason: 'it names the people, not the place, and finds nearly everything',
  })
}
