import { z } from 'zod'
import { Profile } from '../../profile'
import { Criterion, KnownItem, PlannedLimit, Source } from '../values'
import { atStage, kind, one, PLAIN, put, removes, said } from './kind'

export const PLAN_KINDS = {
  'limit.set': kind({
    ...PLAIN,
    schema: PlannedLimit,
    apply: (r, p) => put(r.limits, p),
    place: (p) => atStage('question', `limit:${p.id}`),
    words: said('limit planned'),
    held: (r, p) => one(r.limits, p.id),
  }),
  'limit.remove': removes((r) => r.limits, atStage('question', 'limits'), 'limit taken out of the plan'),
  'criterion.set': kind({
    ...PLAIN,
    schema: Criterion,
    apply: (r, p) => put(r.criteria, p),
    place: () => atStage('question', 'criteria'),
    words: said('criterion written'),
    held: (r, p) => one(r.criteria, p.id),
  }),
  'criterion.remove': removes((r) => r.criteria, atStage('question', 'criteria'), 'criterion removed'),
  'source.set': kind({
    ...PLAIN,
    schema: Source,
    apply: (r, p) => put(r.sources, p),
    place: (p) => atStage('question', `source:${p.id}`),
    words: said('source set'),
    held: (r, p) => one(r.sources, p.id),
  }),
  'source.remove': removes((r) => r.sources, atStage('question', 'sources'), 'source removed'),
  'known.add': kind({
    ...PLAIN,
    schema: z.object({ items: z.array(KnownItem).min(1) }),
    apply: (r, p) => p.items.forEach((item) => put(r.knownItems, item)),
    place: () => atStage('question', 'known'),
    words: said('known items taken in'),
  }),
  'known.set': kind({
    ...PLAIN,
    schema: KnownItem,
    apply: (r, p) => put(r.knownItems, p),
    place: () => atStage('question', 'known'),
    words: said('known item corrected'),
    held: (r, p) => one(r.knownItems, p.id),
  }),
  'known.remove': removes((r) => r.knownItems, atStage('question', 'known'), 'known item removed'),
  'profile.set': kind({
    ...PLAIN,
    schema: Profile,
    apply: (r, p) => put(r.profiles, p),
    place: () => atStage('question', 'sources'),
    words: said('database described'),
  }),
}
