import type { FactContext } from '../facts'
import { drawFlow, flowText, openMatters, type FlowWords } from '../../selection'
import type { AppendixContext, Referenced } from './context'

/** Works that went out on their full text, and why. */
export type ExcludedWorks = readonly { id: string; reason: string }[]

/** What appendices are made from, with the works as references and the flow, where it adds up. */
export function withWorks(
  context: FactContext,
  included: readonly Referenced[],
  excluded: readonly Referenced[],
  why: ExcludedWorks,
  words: FlowWords,
): AppendixContext {
  const reasons = new Map(why.map((e) => [e.id, e.reason]))
  const { flow } = context.figures
  const drawn = flow.rounds.length > 0 && !openMatters(flow).faults.length
  return {
    ...context,
    included,
    excluded: excluded.map((w) => ({ ...w, reason: reasons.get(w.id) ?? 'none' })),
    ...(drawn ? { flow: { svg: drawFlow(flow, words), text: flowText(flow, words) } } : {}),
  }
}
