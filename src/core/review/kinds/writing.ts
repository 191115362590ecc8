import { z } from 'zod'
import { Text } from '../names'
import {
  FrozenText,
  PackageDeposited,
  PlanAmending,
  PlanFreezing,
  planOf,
  Registration,
  TextRead,
  type ProtocolVersion,
} from '../protocol-values'
import type { Review } from '../values'
import { atStage, kind, PLAIN, put, said, type Written } from './kind'

const freeze = (r: Review, p: Omit<ProtocolVersion, 'seq' | 'plan'>, { seq }: Written): void =>
  put((r.protocol ??= []), { ...p, seq, plan: planOf(r, p.readers, p.passes) })

/** Protocol, frozen texts, and what was said to advice on the section. */
export const WRITING_KINDS = {
  'protocol.freeze': kind({
    ...PLAIN,
    schema: PlanFreezing,
    apply: freeze,
    place: () => atStage('methods', 'protocol'),
    words: said('plan frozen as protocol'),
  }),
  'protocol.amend': kind({
    ...PLAIN,
    schema: PlanAmending,
    apply: (r, p, written) => {
      if (r.protocol?.length) freeze(r, p, written)
    },
    place: () => atStage('methods', 'protocol'),
    words: said('protocol amended'),
  }),
  'protocol.register': kind({
    ...PLAIN,
    schema: Registration,
    apply: (r, p) => {
      r.registration = p
    },
    place: () => atStage('methods', 'protocol'),
    words: said('registration of the protocol noted'),
  }),
  'departure.explain': kind({
    ...PLAIN,
    schema: z.object({ key: z.string().min(1).max(300), reason: Text }),
    apply: (r, p) => {
      ;(r.departures ??= {})[p.key] = p.reason
    },
    place: (p) => atStage('methods', `departure:${p.key}`),
    words: said('reason of a departure noted'),
    held: (r, p) => ({ reason: r.departures?.[p.key] ?? null }),
  }),
  'advice.leave': kind({
    ...PLAIN,
    schema: z.object({ key: z.string().min(1).max(600), reason: Text }),
    apply: (r, p) => {
      ;(r.leftAdvice ??= {})[p.key] = p.reason
    },
    place: () => atStage('methods'),
    words: said('advice left, with a reason'),
  }),
  'advice.resume': kind({
    ...PLAIN,
    schema: z.object({ key: z.string().min(1).max(600) }),
    apply: (r, p) => {
      delete r.leftAdvice?.[p.key]
    },
    place: () => atStage('methods'),
    words: said('advice taken up again'),
  }),
  'text.freeze': kind({
    ...PLAIN,
    schema: FrozenText,
    apply: (r, p) => put((r.frozenTexts ??= []), p),
    blobs: (p) => [p.digest],
    place: () => atStage('methods', 'versions'),
    words: said('text frozen'),
  }),
  'package.deposit': kind({
    ...PLAIN,
    undo: 'happened',
    schema: PackageDeposited,
    apply: (r, p) => put((r.deposits ??= []), p),
    place: () => atStage('methods'),
    words: said('package deposited'),
  }),
  'text.read': kind({
    ...PLAIN,
    schema: TextRead,
    apply: (r, p, { seq }) => {
      r.textRead = { ...p, seq }
    },
    place: () => atStage('methods'),
    words: said('section read'),
  }),
}
