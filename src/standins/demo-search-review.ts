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

/** The searches of spring, looked over by a librarian by file; one comment is acted on, the other declined. */
export function reviewSearches(diary: Diary, blobs: Packed['blobs']): void {
  const side = new DemoSide(diary, LIBRARIAN, 'H. Marrow')
  for (const [element, verdict, words] of ANSWERS)
    side.say({
      kind: 'searchreview.answer',
      payload: { reader: LIBRARIAN, element, verdict, words },
    })
  const { strategies } = diary.review()
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
    payload: { reader: LIBRARIAN, as: 'subject librarian', at: diary.now() },
  })
  side.takeIn(blobs)
  diary.do('line.change', {
    sourceId: 'demo-mindmere',
    id: noted,
    note: 'no heading for reverberation time; words alone find it',
  })
  const [first, second] = diary.review().searchReviews![LIBRARIAN]!.comments
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
