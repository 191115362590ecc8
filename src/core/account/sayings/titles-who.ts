import { saying } from './saying'
import { readAlike, tellsWho, type ReadAlike } from './who-read'

/** How many read each title and abstract. */
export const titlesWho = saying<{ groups: ReadAlike[] }>({
  family: 'who read titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  core: true,
  finds: {
    when: { 'not one alone': (c) => tellsWho(c, 'broad') },
    found: (c) => ({ groups: readAlike(c, 'broad') }),
  },
})
