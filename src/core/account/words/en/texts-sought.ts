import { are, were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const textsSought: Words<FoundOf<'texts-sought'>> = {
  says: ({ sought, notLooked, notHad, awaited }, say) => {
    const missed = notHad ? `{texts.notHad} ${were(notHad)} not to be had` : ''
    const wait = awaited ? `{texts.awaited} ${are(awaited)} still awaited or unread` : ''
    const rest = [missed, wait].filter(Boolean).join(' and ')
    if (!notLooked) {
      const became = rest ? `; ${rest}` : ''
      return say(
        [
          `We sought the full text of {texts.sought}${became}.`,
          `Full texts were sought of {texts.sought}${became}.`,
        ],
        [
          `The full text of {texts.sought} was sought${became}.`,
          `Full texts were sought of {texts.sought}${became}.`,
        ],
      )
    }
    const open =
      notLooked === sought
        ? sought === 1
          ? 'it has not been looked for yet'
          : 'none of them has been looked for yet'
        : `{texts.notLooked} ${notLooked === 1 ? 'has' : 'have'} not been looked for yet`
    const became = `; ${open}${rest ? `, ${rest}` : ''}`
    const them = sought === 1 ? 'The full text of {texts.sought} is' : 'The full texts of {texts.sought} are'
    return [
      `${them} to be sought${became}.`,
      `To be sought ${are(sought)} the full text${sought === 1 ? '' : 's'} of {texts.sought}${became}.`,
    ]
  },
}
