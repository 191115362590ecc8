import { newStemmer } from 'snowball-stemmers'
import { isMasked, maskStem } from '../../query'

/** One form that a truncated word matches. */
export interface Form {
  form: string
  /** Records that have it. */
  count: number
  /** Of these, records that the other concepts of the plan find too; as good a sign of sense as there is. */
  near: number
}

export interface JudgedForm extends Form {
  noise: boolean
}

export interface StemAdvice {
  /** Noise first, then by count. */
  forms: JudgedForm[]
  /** The stem takes in what is not meant: a longer one, or the forms themselves where no stem parts them. */
  tooShort?: { instead: string; drops: string[] }
  /** Forms of the same word that the stem misses, and the stem that has them. */
  tooLong?: { instead: string; adds: Form[] }
}

const english = newStemmer('english')
/** Words that are mostly noise by themselves do not matter; noise worth a word is this part of all records. */
const NOISE_WORTH_SAYING = 0.12

/**
 * Judges what a truncated word really matches. The family meant is that of the form with the most records near the
 * plan (without a plan, with the most records): all forms with its stem by Porter's second algorithm. A form of
 * another stem is noise where its records lie near the plan less than half as often as the family's. Without a plan a
 * form is noise where its stem neither begins the family's nor is begun by it.
 */
export function judgeForms(forms: readonly Form[]): JudgedForm[] {
  const total = forms.reduce((n, f) => n + f.near, 0)
  const weight = (f: Form): number => (total ? f.near : f.count)
  const head = [...forms].sort((a, b) => weight(b) - weight(a) || b.count - a.count)[0]
  if (!head) return []
  const stem = english.stem(head.form)
  const family = forms.filter((f) => english.stem(f.form) === stem)
  const share = (list: readonly Form[]): number =>
    list.reduce((n, f) => n + f.near, 0) / (list.reduce((n, f) => n + f.count, 0) || 1)
  const usual = share(family)
  const noise = (f: Form): boolean => {
    const own = english.stem(f.form)
    if (own === stem) return false
    if (total) return share([f]) < usual / 2
    return !own.startsWith(stem) && !stem.startsWith(own)
  }
  return forms
    .map((f) => ({ ...f, noise: noise(f) }))
    .sort((a, b) => Number(b.noise) - Number(a.noise) || b.count - a.count || (a.form < b.form ? -1 : 1))
}

/**
 * What a truncated word matches, noise first, and whether it was cut too short or too long. `formsOf` gives the forms
 * of any stem with an open ending. A word without an open ending is judged but not measured. No forms, no advice.
 */
export function adviseStem(word: string, formsOf: (mask: string) => readonly Form[]): StemAdvice {
  const forms = judgeForms(formsOf(word))
  const stem = maskStem(word)
  if (!forms.length || !isMasked(word) || word !== `${stem}*`) return { forms }
  const advice: StemAdvice = { forms }
  const shorter = cutTooShort(stem, forms)
  if (shorter) advice.tooShort = shorter
  const longer = cutTooLong(stem, forms, formsOf)
  if (longer) advice.tooLong = longer
  return advice
}

const records = (forms: readonly Form[]): number => forms.reduce((n, f) => n + f.count, 0)

function cutTooShort(stem: string, forms: readonly JudgedForm[]): StemAdvice['tooShort'] {
  const noise = forms.filter((f) => f.noise)
  const meant = forms.filter((f) => !f.noise)
  if (!noise.length || records(noise) < NOISE_WORTH_SAYING * records(forms)) return undefined
  const drops = noise.map((f) => f.form)
  // Of the longer stems that keep nine in ten of what is meant: the one with the least noise, the shortest of these.
  let best: { stem: string; noise: number } | undefined
  const whole = commonest(meant)
  for (let length = stem.length + 1; length <= whole.length; length++) {
    const longer = whole.slice(0, length)
    const kept = (list: readonly Form[]): number => records(list.filter((f) => f.form.startsWith(longer)))
    if (kept(meant) < 0.9 * records(meant)) break
    if (!best || kept(noise) < best.noise) best = { stem: longer, noise: kept(noise) }
  }
  if (best && best.noise <= 0.25 * records(noise)) return { instead: `${best.stem}*`, drops }
  const names = meant.slice(0, 6).map((f) => f.form)
  return { instead: names.length > 1 ? `(${names.join(' OR ')})` : names[0]!, drops }
}

const commonest = (forms: readonly Form[]): string =>
  [...forms].sort((a, b) => b.count - a.count)[0]?.form ?? ''

/** As many letters as a stem is cut back in search of forms that it misses; never to fewer than four. */
const CUT_BACK = 5

function cutTooLong(
  stem: string,
  forms: readonly JudgedForm[],
  formsOf: (mask: string) => readonly Form[],
): StemAdvice['tooLong'] {
  const stems = new Set(forms.filter((f) => !f.noise).map((f) => english.stem(f.form)))
  const shortest = stem.slice(0, Math.max(4, stem.length - CUT_BACK))
  if (shortest.length >= stem.length) return undefined
  const adds = formsOf(`${shortest}*`).filter(
    (f) => !f.form.startsWith(stem) && stems.has(english.stem(f.form)),
  )
  if (!adds.length) return undefined
  const shared = adds.reduce((prefix, f) => {
    let n = 0
    while (n < prefix.length && prefix[n] === f.form[n]) n++
    return prefix.slice(0, n)
  }, stem)
  return { instead: `${shared}*`, adds: [...adds].sort((a, b) => b.count - a.count) }
}
