import type { Answer, Criterion } from '@/core/review'
import { KeyHint } from '../../shared/key-hint'

const ANSWERS: readonly Answer[] = ['yes', 'no', 'cannot tell']

/** The answer by which a question rules a work out. */
export const rulesOut = (c: Criterion): Answer => (c.sense === 'in' ? 'no' : 'yes')

/** The criteria of a pass as questions, each answered for itself; the answer that rules out says so. */
export function Questions({
  criteria,
  answers,
  answer,
}: {
  criteria: readonly Criterion[]
  answers: Readonly<Record<string, Answer>>
  answer: (criterion: Criterion, answer: Answer) => void
}) {
  if (!criteria.length)
    return (
      <p className="sub">
        Questions for this pass, written under Question, would stand here: each with a key that rules out by
        it.
      </p>
    )
  return (
    <ol className="questions">
      {criteria.map((c) => (
        <li key={c.id}>
          <KeyHint of={`out-${c.id}`} />
          <span className="question-words">{c.text}</span>
          <span className="question-answers" role="group" aria-label={`Answers to: ${c.text}`}>
            {ANSWERS.map((a) => (
              <button
                key={a}
                className="plain"
                aria-pressed={answers[c.id] === a}
                title={a === rulesOut(c) ? 'rules the work out' : undefined}
                onClick={() => answer(c, a)}
              >
                {a}
                {a === rulesOut(c) && <span className="sub"> · out</span>}
              </button>
            ))}
          </span>
        </li>
      ))}
    </ol>
  )
}
