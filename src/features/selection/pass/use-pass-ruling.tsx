'use client'
import { App } from 'antd'
import { useState, type ReactNode } from 'react'
import { asksWhereHad, outBy, ruleWork, type RulingMade } from '@/core/doing'
import { questionsOf, type Answer, type Criterion, type PassName, type Ruling } from '@/core/review'
import { useStore } from '@/page/provider'
import { useTextHad } from '../texts/text-dialog'
import type { Selected } from '../use-selected'
import { useReason } from './reason-dialog'
import type { PassList } from './use-pass-list'

const NO_ANSWERS: Readonly<Record<string, Answer>> = {}
/** What a question can be answered with, in the order in which its key goes through; then nothing again. */
const ANSWERS: readonly (Answer | undefined)[] = ['yes', 'no', 'cannot tell', undefined]

type More = Partial<Pick<RulingMade, 'criterionId' | 'reason' | 'had'>>

/** What a reader answers to the questions of a work, and rules: what is not said yet and has to be is asked for. */
export function usePassRuling(pass: PassName, selected: Selected, { work, ruling, next }: PassList) {
  const { doIt, deed, inName } = useStore()
  const { message } = App.useApp()
  const { review, ruled, said } = selected
  const criteria = questionsOf(review, pass)
  // Answers that are given and not ruled on yet belong to the work they were given of.
  const [given, setGiven] = useState<{
    work: string
    answers?: Readonly<Record<string, Answer>>
    note?: string
  }>()
  const current = work && given?.work === work.id ? given : undefined
  const answers = current?.answers ?? ruling?.answers ?? NO_ANSWERS
  const note = current?.note ?? ruling?.note ?? ''
  const text = useTextHad()
  const reason = useReason(selected, pass)
  const rule = (verdict: Ruling['verdict'], more: More, then: () => void): void => {
    if (!work) return
    const retrieval = said.get(work.id)?.retrieval
    inName(() => {
      deed(doIt(ruleWork, { work, ruled, pass, verdict, answers, note, retrieval, ...more }))
      then()
    })
  }
  const say = (verdict: Ruling['verdict'], more: More = {}): void => {
    if (!work) return
    const out = outBy(criteria, answers)
    if (verdict === 'in' && out.length) {
      const n = criteria.indexOf(out[0]!) + 1
      deed(
        message.info(
          `Question ${n} is answered so that the work goes out. Change the answer, or rule it out.`,
          6,
        ),
      )
      return
    }
    const untold = asksWhereHad(pass, said.get(work.id)?.retrieval) && ruling?.text !== 'none noted'
    if (untold && more.had === undefined) return text.ask((had) => say(verdict, { ...more, had }))
    if (verdict !== 'out' || more.criterionId !== undefined || more.reason !== undefined)
      return rule(verdict, more, next)
    // One answer that leads out is the main reason; of titles and abstracts none is owed.
    const [by] = out
    if (by && (out.length === 1 || pass === 'broad'))
      return rule(verdict, { ...more, criterionId: by.id }, next)
    if (pass === 'broad') return rule(verdict, more, next)
    reason.ask((taken) => rule('out', { ...more, ...taken }, next))
  }
  const answer = (c: Criterion, a: Answer | undefined): void => {
    if (!work) return
    const { [c.id]: _, ...others } = answers
    setGiven({ ...current, work: work.id, answers: a === undefined ? others : { ...others, [c.id]: a } })
  }
  const dialogs: ReactNode = (
    <>
      {text.dialog}
      {reason.dialog}
    </>
  )
  return {
    criteria,
    answers,
    note,
    say,
    answer,
    /** The next answer of a question, as its key goes through them. */
    turn: (c: Criterion) => answer(c, ANSWERS[(ANSWERS.indexOf(answers[c.id]) + 1) % ANSWERS.length]),
    write: (words: string) => work && setGiven({ ...current, work: work.id, note: words }),
    /** Keeps a note on a work that is ruled already. */
    keepNote: () => {
      if (ruling && !ruling.unread)
        rule(ruling.verdict, { criterionId: ruling.criterionId, reason: ruling.reason }, () => undefined)
    },
    dialogs,
  }
}
