import { listed } from '../../../base'
import { SAID, SAID_WORDS } from '../../../selection'
import type { Agreed } from '../../sayings/agreed'
import { fact } from './fact'

type Pass = 'broad' | 'close'

const kappaOf = (pass: Pass, { kappa, interval }: Agreed): string[] =>
  kappa
    ? [
        `Cohen’s kappa ${fact('agreed.kappa', pass)}${interval ? `, 95 % interval ${fact('agreed.interval', pass)}` : ''}`,
      ]
    : []

/** How far readers agreed, on what, in which of their rulings, as which classes, and what is left out. */
export function agreed(pass: Pass, found: Agreed): string[] {
  const { pairs, seen, classes } = found
  const both = fact('agreed.both', pass)
  const said = SAID.filter((c) => classes.includes(c)).map((c) => SAID_WORDS[c])
  const also = [`ruled ${listed(said, 'or')}`, ...kappaOf(pass, found)].join('; ')
  const left = !seen
    ? ''
    : pairs > 1
      ? '; what one of a pair ruled with the other’s ruling in sight is not counted'
      : `; ${fact('agreed.seen', pass)} more, ruled with the other’s ruling in sight, ${seen === 1 ? 'is' : 'are'} not counted`
  const share = `${fact('agreed.share', pass)} (${also})${left}.`
  return pairs > 1
    ? [
        `${fact('^agreed.pairs', pass)} of readers ruled the same ${both}, and in their first rulings agreed on ${share}`,
        `On the same ${both}, the first rulings of ${fact('agreed.pairs', pass)} of readers agreed on ${share}`,
      ]
    : [
        `Two readers both ruled ${both}, and in their first rulings agreed on ${share}`,
        `In their first rulings, two readers who both ruled ${both} agreed on ${share}`,
      ]
}

/** In short: on how many they agreed. */
export function agreedShort(pass: Pass, found: Agreed): string[] {
  const also = kappaOf(pass, { ...found, interval: false })
  const share = `${fact('agreed.share', pass)} of ${fact('agreed.both', pass)}${also.length ? ` (${also.join()})` : ''}.`
  return found.pairs > 1
    ? [`First rulings of ${fact('agreed.pairs', pass)} of readers agreed on ${share}`]
    : [`Two readers’ first rulings agreed on ${share}`, `First rulings of two readers agreed on ${share}`]
}
