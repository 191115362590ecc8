import { leadsOut, type Answer, type Criterion } from '@/core/review'
import { KeyHint } from '../../shared/key-hint'

const ANSWERS: readonly Answer[] = ['yes', 'no', 'cannot tell']

/** The criteria of a pass as questions, each answered for itself; the answer that leads out shows it. */
export function Questions({
  criteria,
  answers,
  answer,
}: {
  criteria: readonly Criterion[]
  answers: Readonly<Record<string, Answer>>
  answer: (criterion: Criterion, answer: Answer | undefined) => void
}) {
  if (!criteria.length)
    return (
      <p className="sub">
        Questions for this pass, written under Question, would stand here: each with a key that answers it.
      </p>
    )
  return (
    <ol className="questions">
      {criteria.map((c) => (
        <li key={c.id}>
          <KeyHint of={`answer-${c.id}`} />
          <span className="question-words">{c.text}</span>
          <span className="question-answers" role="group" aria-label={`Answers to: ${c.text}`}>
            {ANSWERS.map((a) => (
              <button
                key={a}
                className="plain"
                aria-pressed={answers[c.id] === a}
                title={a === leadsOut(c) ? 'leads out of the review' : undefined}
                onClick={() => answer(c, answers[c.id] === a ? undefined : a)}
              >
                {a}
                {a === leadsOut(c) && <span className="sub"> · leads out</span>}
              </button>
            ))}
          </span>
        </li>
      ))}
    </ol>
  )
}
