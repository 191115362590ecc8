import type { Pasted } from '../../records'
import type { Criterion, KnownItem, PlannedLimit, Source } from '../../review'
import type { Doing } from '../doing'
import { UNNAMED } from './unnamed'

/** Plans a limit, or another value of one that is planned. */
export const planLimit: Doing<PlannedLimit> = (_at, limit) => [{ kind: 'limit.set', payload: limit }]
export const dropLimit: Doing<string> = (_at, id) => [{ kind: 'limit.remove', payload: { id } }]

/** Begins a question that is asked of each work, of title and abstract first; yes is in. */
export const askCriterion: Doing<undefined> = ({ newId }, _input) => [
  { kind: 'criterion.set', payload: { id: newId(), text: '', pass: 'broad', sense: 'in' } },
]
/** A question of one pass is asked in the other. */
export const turnPass: Doing<Criterion> = (_at, criterion) => [
  { kind: 'criterion.set', payload: { ...criterion, pass: criterion.pass === 'broad' ? 'close' : 'broad' } },
]
/** A yes that kept a work in leaves it out, and the other way round. */
export const turnSense: Doing<Criterion> = (_at, criterion) => [
  { kind: 'criterion.set', payload: { ...criterion, sense: criterion.sense === 'in' ? 'out' : 'in' } },
]
export const dropCriterion: Doing<string> = (_at, id) => [{ kind: 'criterion.remove', payload: { id } }]

/** Is an item known already: by its DOI, or, where it has none, by its title? */
export const isKnown = (items: readonly KnownItem[], item: Pick<Pasted, 'doi' | 'title'>): boolean =>
  items.some((k) => (item.doi && k.doi === item.doi) || (!item.doi && item.title && k.title === item.title))

/** Adds works that a good search must find, as they were pasted; those that are known already are passed over. */
export const addKnown: Doing<readonly Pasted[]> = ({ review, newId }, pasted) => {
  const items = pasted
    .filter((item) => !isKnown(review.knownItems, item))
    .map(({ raw, form, title, authors, year, journal, doi }): KnownItem => ({
      id: newId(),
      raw,
      form,
      title,
      authors,
      ...(year === undefined ? {} : { year }),
      ...(journal === undefined ? {} : { journal }),
      ...(doi === undefined ? {} : { doi }),
    }))
  return items.length ? [{ kind: 'known.add', payload: { items } }] : []
}
/** Gives a known item the title that a source has for it. */
export const nameKnown: Doing<{ item: KnownItem; title: string }> = (_at, { item, title }) => [
  { kind: 'known.set', payload: { ...item, title } },
]
export const dropKnown: Doing<string> = (_at, id) => [{ kind: 'known.remove', payload: { id } }]

/** Takes a database into the plan that is to be described. */
export const addUnnamed: Doing<{ id: string }> = (_at, { id }) => [
  { kind: 'source.set', payload: { id, kind: 'database', name: UNNAMED, why: '' } },
]
/** Chooses the release of a database that is searched from now on; undefined: the latest there is. */
export const chooseRelease: Doing<{ source: Source; release: string | undefined }> = (
  _at,
  { source, release },
) => {
  const { release: _before, ...rest } = source
  return [{ kind: 'source.set', payload: release === undefined ? rest : { ...rest, release } }]
}
/** Plans when a source is to be searched again; undefined: no more. */
export const planReminder: Doing<{ source: Source; reminder: Source['reminder'] }> = (
  _at,
  { source, reminder },
) => {
  const { reminder: _before, ...rest } = source
  return [{ kind: 'source.set', payload: reminder ? { ...rest, reminder } : rest }]
}
