import { z } from 'zod'
import { held } from '../../base'
import { askedNow } from '../asked'
import { lastOf } from '../last-word'
import { firstOf, putRuling } from '../put-ruling'
import {
  Contact,
  CriteriaVersion,
  OrderChosen,
  PassName,
  PersonId,
  Quote,
  ReadingAsked,
  ReadingPlan,
  RecordId,
  Retrieval,
  Ruling,
  RulingOfMany,
  SelectionRule,
  Settlement,
  Step,
  StopRule,
  Study,
  WayLogged,
  WebPage,
} from '../values'
import { atStage, drop, kind, PLAIN, put, removes, said, sets } from './kind'

export const SELECTION_KINDS = {
  'ruling.set': kind({
    ...PLAIN,
    schema: Ruling,
    apply: (r, p, { at }) => {
      const key = `${p.pass}/${p.reader}`
      const first = firstOf([p.recordId, ...(p.replaces ?? [])].map((id) => held(r.rulings, id)?.[key]))
      // What this one replaces no longer replaces it.
      for (const id of p.replaces ?? []) {
        const earlier = held(r.rulings, id)?.[key]
        if (earlier?.replaces?.includes(p.recordId))
          earlier.replaces = earlier.replaces.filter((other) => other !== p.recordId)
      }
      // Where it was not noted what was asked, it was what stood there then; a side journal does not know.
      const asked = p.asked ?? askedNow(r, p.pass)
      putRuling(r, key, { ...p, at, ...(asked ? { asked } : {}), ...(first ? { first } : {}) })
    },
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('work ruled'),
    bearsPerson: true,
  }),
  'ruling.remove': kind({
    ...PLAIN,
    schema: z.object({
      recordId: RecordId,
      pass: PassName,
      reader: PersonId,
      /** The work's other records on which this reader ruled in this pass. */
      also: z.array(RecordId).optional(),
    }),
    apply: (r, p) => {
      for (const id of [p.recordId, ...(p.also ?? [])]) {
        const own = held(r.rulings, id)
        if (own) delete own[`${p.pass}/${p.reader}`]
      }
    },
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('ruling taken back'),
    bearsPerson: true,
  }),
  'ruling.many': kind({
    ...PLAIN,
    schema: RulingOfMany,
    apply: (r, { records, pass, reader, verdict, because }, { at }) => {
      const key = `${pass}/${reader}`
      for (const recordId of records) {
        const first = firstOf([held(r.rulings, recordId)?.[key]])
        const ruling = { recordId, pass, reader, verdict, reason: because, unread: true as const, at }
        putRuling(r, key, { ...ruling, ...(first ? { first } : {}) })
      }
    },
    place: (p) => atStage('selection', `work:${p.records[0]}`),
    words: said('works ruled together'),
    bearsPerson: true,
  }),
  'ruling.settle': kind({
    ...PLAIN,
    schema: Settlement,
    apply: (r, p, { at }) => {
      const { also = [], ...one } = p
      const all = (r.settlements ??= {})
      for (const recordId of [p.recordId, ...also]) {
        const word: Settlement = { ...one, recordId, at }
        const standing = all[recordId]?.[p.pass]
        const last = standing?.side ? lastOf([word, standing], (s) => s.by) : word
        ;(all[recordId] ??= {})[p.pass] = last === word ? word : { ...standing!, under: word }
      }
    },
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('rulings settled'),
    bearsPerson: true,
  }),
  'criteria.version': kind({
    ...PLAIN,
    schema: CriteriaVersion,
    apply: (r, p) => put((r.criteriaVersions ??= []), { ...p, criteria: r.criteria.map((c) => ({ ...c })) }),
    place: () => atStage('selection'),
    words: said('version of the criteria named'),
  }),
  'order.choose': kind({
    ...PLAIN,
    schema: OrderChosen,
    apply: (r, p, { by }) => {
      ;(r.orders ??= []).push({ ...p, by })
    },
    place: () => atStage('selection'),
    words: said('order of reading chosen'),
  }),
  'reading.ask': kind({
    ...PLAIN,
    schema: ReadingAsked,
    apply: (r, p) => put((r.asked ??= []), p),
    place: () => atStage('selection'),
    words: said('another reader asked'),
  }),
  'retrieval.set': kind({
    ...PLAIN,
    schema: Retrieval,
    apply: (r, p, { at, by }) => {
      const all = (r.retrievals ??= {})
      const word: Retrieval = { ...p, at, who: by }
      const standing = all[p.recordId]
      const last = standing?.side ? lastOf([word, standing], (s) => s.who ?? '') : word
      all[p.recordId] = last === word ? word : { ...standing!, under: word }
    },
    blobs: (p) => (p.file ? [p.file.digest] : []),
    place: (p) => atStage('selection', `work:${p.recordId}`),
    words: said('full text noted'),
    bearsPerson: true,
  }),
  'study.bind': kind({
    ...PLAIN,
    schema: Study,
    apply: (r, p) => put((r.studies ??= []), p),
    place: () => atStage('selection'),
    words: said('works bound as one study'),
  }),
  'study.part': kind({
    ...PLAIN,
    schema: Study.pick({ id: true }),
    apply: (r, p) => drop((r.studies ??= []), p.id),
    place: () => atStage('selection'),
    words: said('study parted'),
  }),
  'step.follow': kind({
    ...PLAIN,
    schema: Step,
    apply: (r, p) => put((r.steps ??= []), p),
    place: () => atStage('selection'),
    words: said('references followed'),
  }),
  'way.log': kind({
    ...PLAIN,
    schema: WayLogged,
    apply: (r, p) => put((r.ways ??= []), p),
    place: () => atStage('selection'),
    words: said('other way logged'),
  }),
  'selection.rule': kind({
    ...PLAIN,
    schema: SelectionRule,
    apply: (r, p) => {
      ;(r.selectionRules ??= {})[p.pass] = p.rule
    },
    // A review begins with one: another takes its place, and none is taken back to none.
    undo: 'superseded',
    place: () => atStage('selection'),
    words: said('rule for rulings that differ chosen'),
  }),
  'reading.plan': kind({
    ...PLAIN,
    schema: ReadingPlan,
    apply: (r, p) => {
      ;(r.readingPlans ??= {})[p.pass] = p
    },
    place: () => atStage('selection'),
    words: said('reading planned'),
  }),
  'stop.rule': kind({
    ...PLAIN,
    schema: StopRule,
    apply: (r, p) => put((r.stopRules ??= []), p),
    place: () => atStage('selection'),
    words: said('rule for stopping noted'),
  }),
  'contact.set': sets(
    Contact,
    (r) => (r.contacts ??= []),
    () => atStage('selection'),
    'person asked',
  ),
  'contact.remove': removes((r) => (r.contacts ??= []), atStage('selection'), 'person taken away'),
  'page.set': kind({
    ...sets(
      WebPage,
      (r) => (r.pages ??= []),
      () => atStage('selection'),
      'page noted',
    ),
    blobs: (p) => (p.copy ? [p.copy.digest] : []),
  }),
  'page.remove': removes((r) => (r.pages ??= []), atStage('selection'), 'page taken away'),
  'quote.set': sets(
    Quote,
    (r) => (r.quotes ??= []),
    (p) => atStage('selection', `work:${p.recordId}`),
    'quote kept',
  ),
  'quote.remove': removes((r) => (r.quotes ??= []), atStage('selection'), 'quote taken away'),
}
