import { plural, thousands } from '../base'
import { SAID_WORDS, type AgreementOfAll } from './agreement'
import type { ReaderPair } from './together'

const two = (n: number): string => (n < 0 ? '−' : '') + Math.abs(n).toFixed(2)
const percent = (n: number): string => `${(n * 100).toFixed(1)} %`

/** How far two readers agree, in sentences; what the numbers do not bear is not said. */
export function agreementWords(pair: ReaderPair): string[] {
  const { both, agreed, classes, kappa, interval, positive, negative, pabak, seen } = pair
  const left = seen
    ? [
        `${plural(seen, 'work')} more ${seen === 1 ? 'was' : 'were'} ruled where the other’s ruling could be seen, and ${seen === 1 ? 'is' : 'are'} not counted.`,
      ]
    : []
  if (!both) return left
  const called = classes.map((c) => SAID_WORDS[c]).join(', ')
  const share = `First rulings of ${plural(both, 'work')}, as ${called}: ${percent(agreed ?? 0)} are the same.`
  const chance =
    kappa === undefined
      ? 'Kappa cannot be reckoned where both always say the same.'
      : `Cohen’s kappa is ${two(kappa)}${
          interval
            ? ` (95 % interval ${two(interval[0])} to ${two(interval[1])}): ${besideChance(interval)}.`
            : '; the works are too few, or too many alike, to say within what bounds.'
        }`
  const of = [
    ...(positive === undefined ? [] : [`of what either ruled in, both did ${percent(positive)}`]),
    ...(negative === undefined ? [] : [`of what either ruled out, both did ${percent(negative)}`]),
    ...(pabak === undefined ? [] : [`adjusted for prevalence and bias, kappa is ${two(pabak)}`]),
  ]
  const [first, ...others] = of
  const more = first ? [`${[first[0]!.toUpperCase() + first.slice(1), ...others].join('; ')}.`] : []
  return [share, chance, ...more, ...left]
}

function besideChance([low, high]: readonly [number, number]): string {
  if (low > 0) return 'more than chance alone would give'
  return high < 0 ? 'less than chance alone would give' : 'no more than chance alone might give'
}

/** The same of three readers and more. */
export const agreementOfAllWords = ({ readers, works, agreed, kappa }: AgreementOfAll): string =>
  `${plural(works, 'work')} ruled by ${thousands(readers)} readers: two of their rulings are the same in ${percent(agreed)}${
    kappa === undefined ? '.' : `; Fleiss’ kappa is ${two(kappa)}.`
  }`
