import { are, were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const textsSought: Words<FoundOf<'texts-sought'>> = {
  says: ({ sought, notLooked, notHad, awaited }, say) => {
    const missed = notHad ? `${fact('texts.notHad')} ${were(notHad)} not to be had` : ''
    const wait = awaited ? `${fact('texts.awaited')} ${are(awaited)} still awaited or unread` : ''
    const rest = [missed, wait].filter(Boolean).join(' and ')
    if (!notLooked) {
      const became = rest ? `; ${rest}` : ''
      return say(
        [
          `We sought the full text of ${fact('texts.sought')}${became}.`,
          `Full texts were sought of ${fact('texts.sought')}${became}.`,
        ],
        [
          `The full text of ${fact('texts.sought')} was sought${became}.`,
          `Full texts were sought of ${fact('texts.sought')}${became}.`,
        ],
      )
    }
    const open =
      notLooked === sought
        ? sought === 1
          ? 'it has not been looked for yet'
          : 'none of them has been looked for yet'
        : `${fact('texts.notLooked')} ${notLooked === 1 ? 'has' : 'have'} not been looked for yet`
    const became = `; ${open}${rest ? `, ${rest}` : ''}`
    const them =
      sought === 1
        ? `The full text of ${fact('texts.sought')} is`
        : `The full texts of ${fact('texts.sought')} are`
    return [
      `${them} to be sought${became}.`,
      `To be sought ${are(sought)} the full text${sought === 1 ? '' : 's'} of ${fact('texts.sought')}${became}.`,
    ]
  },
}
