import { z } from 'zod'
import { Profile } from '../../profile'
import { Criterion, KnownItem, PlannedLimit, Source } from '../values'
import { atStage, kind, PLAIN, put, removes, said, sets } from './kind'

export const PLAN_KINDS = {
  'limit.set': sets(
    PlannedLimit,
    (r) => r.limits,
    (p) => atStage('question', `limit:${p.id}`),
    'limit planned',
  ),
  'limit.remove': removes((r) => r.limits, atStage('question', 'limits'), 'limit taken out of the plan'),
  'criterion.set': sets(
    Criterion,
    (r) => r.criteria,
    () => atStage('question', 'criteria'),
    'criterion written',
  ),
  'criterion.remove': removes((r) => r.criteria, atStage('question', 'criteria'), 'criterion removed'),
  'source.set': sets(
    Source,
    (r) => r.sources,
    (p) => atStage('question', `source:${p.id}`),
    'source set',
  ),
  'source.remove': removes((r) => r.sources, atStage('question', 'sources'), 'source removed'),
  'known.add': kind({
    ...PLAIN,
    schema: z.object({ items: z.array(KnownItem).min(1) }),
    apply: (r, p) => p.items.forEach((item) => put(r.knownItems, item)),
    place: () => atStage('question', 'known'),
    words: said('known items taken in'),
  }),
  'known.set': sets(
    KnownItem,
    (r) => r.knownItems,
    () => atStage('question', 'known'),
    'known item corrected',
  ),
  'known.remove': removes((r) => r.knownItems, atStage('question', 'known'), 'known item removed'),
  'profile.set': kind({
    ...PLAIN,
    schema: Profile,
    apply: (r, p) => put(r.profiles, p),
    place: () => atStage('question', 'sources'),
    words: said('database described'),
  }),
}
