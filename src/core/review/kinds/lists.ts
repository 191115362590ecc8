import { z } from 'zod'
import { Id } from '../../base'
import { Export, Group, RecordId, SavedFilter, ValueSet, WorkRelated } from '../values'
import { atStage, drop, kind, one, PLAIN, put, said } from './kind'

/** What a person makes of the list of works: groups, filters, chosen values, and what was handed out of it. */
export const LIST_KINDS = {
  'value.choose': kind({
    ...PLAIN,
    schema: z.object({ recordId: RecordId, field: z.string().min(1).max(40) }),
    apply: (r, p) => {
      r.choices = (r.choices ?? []).filter((c) => c.recordId !== p.recordId || c.field !== p.field)
      r.choices.push(p)
    },
    place: (p) => atStage('records', `work:${p.recordId}`),
    words: said('value chosen'),
  }),
  'value.set': kind({
    ...PLAIN,
    schema: ValueSet,
    apply: (r, p) => {
      r.valuesSet = (r.valuesSet ?? []).filter((v) => v.recordId !== p.recordId || v.field !== p.field)
      r.valuesSet.push(p)
    },
    place: (p) => atStage('records', `work:${p.recordId}`),
    words: said('value written by hand'),
  }),
  'work.relate': kind({
    ...PLAIN,
    schema: WorkRelated,
    apply: (r, p) => {
      const others = (r.related ?? []).filter((w) => w.a !== p.a || w.b !== p.b)
      r.related = p.how === 'nothing' ? others : [...others, p]
    },
    place: (p) => atStage('records', `work:${p.a}`),
    words: said('works related'),
  }),
  'group.set': kind({
    ...PLAIN,
    schema: Group.pick({ id: true, name: true }),
    apply: (r, p) => put((r.groups ??= []), { ...p, records: one(r.groups, p.id)?.records ?? [] }),
    place: () => atStage('records'),
    words: said('group named'),
  }),
  'group.remove': kind({
    ...PLAIN,
    schema: z.object({ id: Id }),
    apply: (r, p) => drop((r.groups ??= []), p.id),
    place: () => atStage('records'),
    words: said('group taken away'),
  }),
  'group.put': kind({
    ...PLAIN,
    schema: z.object({ id: Id, records: z.array(RecordId).min(1), in: z.boolean() }),
    apply: (r, p) => {
      const group = one(r.groups ?? [], p.id)
      if (!group) return
      const own = new Set(p.records)
      group.records = [...group.records.filter((id) => !own.has(id)), ...(p.in ? p.records : [])]
    },
    place: (p) => atStage('records', `work:${p.records[0]}`),
    words: said('works put into a group, or taken out'),
  }),
  'filter.set': kind({
    ...PLAIN,
    schema: SavedFilter,
    apply: (r, p) => put((r.filters ??= []), p),
    place: () => atStage('records'),
    words: said('filter kept'),
  }),
  'filter.remove': kind({
    ...PLAIN,
    schema: z.object({ id: Id }),
    apply: (r, p) => drop((r.filters ??= []), p.id),
    place: () => atStage('records'),
    words: said('filter taken away'),
  }),
  'records.export': kind({
    ...PLAIN,
    undo: 'happened',
    schema: Export,
    apply: (r, p) => put((r.exports ??= []), p),
    place: () => atStage('records'),
    words: said('records handed out'),
  }),
}
