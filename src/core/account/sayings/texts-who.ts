import { saying } from './saying'
import { readAlike, tellsWho, type ReadAlike } from './who-read'

/** How many read each full text. */
export const textsWho = saying<{ groups: ReadAlike[] }>({
  family: 'who read texts',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  finds: {
    when: {
      read: (c) => readAlike(c, 'close').length > 0,
      'not one alone': (c) => tellsWho(c, 'close'),
    },
    found: (c) => ({ groups: readAlike(c, 'close') }),
  },
})
