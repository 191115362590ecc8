import type { Source } from '@/core/review'

export type OtherKind = Exclude<Source['kind'], 'database'>

/** Ways to find works beside databases: what each is called where it is chosen, and in the plan at first. */
export const OTHER_WAYS: Readonly<Record<OtherKind, { label: string; name: string }>> = {
  'reference lists': { label: 'Reference lists of what is kept', name: 'the reference lists of works kept' },
  'citing papers': { label: 'Papers that cite what is kept', name: 'papers that cite works kept' },
  people: { label: 'People in the field', name: 'people in the field' },
  web: { label: 'Websites', name: 'websites' },
  catalogue: { label: 'A library catalogue', name: 'the library catalogue' },
  'own collection': { label: 'Your own collection', name: 'our own collection' },
  'hand search': { label: 'Journals searched by hand', name: 'journals searched by hand' },
  register: { label: 'A register of studies or theses', name: 'the register' },
}
