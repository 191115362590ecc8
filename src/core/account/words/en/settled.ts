import { listed } from '../../../base'
import { verbatim } from '../../document'
import { were } from './speaker'
import type { Settled } from '../../sayings/settled'
import { fact } from './fact'

/** What becomes of those that nobody settled, told of one of them or of several. */
function unsettled(rule: Settled['rule'], n: number): string {
  const [goes, is, stays, it] = n === 1 ? ['goes', 'is', 'stays', 'it'] : ['go', 'are', 'stay', 'them']
  switch (rule) {
    case 'any yes goes on':
      return `${goes} on where anybody ruled ${it} in, and ${stays} open otherwise`
    case 'all agree':
      return `${is} set aside where anybody ruled ${it} out, and ${stays} open otherwise`
    case 'settle first':
      return n === 1 ? 'still waits' : 'still wait'
  }
}

/** How many works readers saw differently, how many of these were settled and how, and what became of the others. */
export function settled(pass: 'broad' | 'close', { settled: n, waits, hows, rule }: Settled): string[] {
  const all = fact('settled.of', pass)
  const by = hows.length ? ` ${listed(hows.map(verbatim), 'or')}` : ''
  if (!n) {
    const [that, they] = waits === 1 ? ['that', 'it'] : ['these', 'they']
    return [
      `Readers saw ${all} differently, and nobody has settled ${that} yet; ${they} ${unsettled(rule, waits)}.`,
      `What readers saw differently, ${all}, nobody has settled yet; ${they} ${unsettled(rule, waits)}.`,
    ]
  }
  const some = fact('settled.n', pass)
  if (!waits)
    return [
      `Readers saw ${all} differently; ${n === 1 ? 'it was' : 'all were'} settled${by}.`,
      `What readers saw differently, ${all}, was settled${by}.`,
    ]
  const rest = `${waits === 1 ? 'the other' : 'the others'} ${unsettled(rule, waits)}`
  return [
    `Of ${all} that readers saw differently, ${some} ${were(n)} settled${by}; ${rest}.`,
    `${fact('^settled.n', pass)} of ${all} that readers saw differently ${were(n)} settled${by}; ${rest}.`,
  ]
}
