import type { Fault } from './connection'
import type { SaveState } from './journal-file'

/** In which moment a fault is met: while a review is opened, while one works, or while saving what can be saved. */
export type Moment = 'open' | 'work' | 'rescue'

const RESCUE = 'Save a package: it holds everything on this screen, written or not.'

/**
 * What is said of each fault in each moment: what has happened, what it means for the work, and what to do. A sentence
 * says that something is saved only where that is so; see `unsaved` below.
 */
export const FAULT_WORDS: Record<Fault | 'parted', Record<Moment, string>> = {
  full: {
    open: 'The storage of this browser is full, so nothing new can be kept in it. Free some space, then try again; what is already stored can still be opened.',
    work: `The storage of this browser is full. Free some space and try again, or save a package now: it holds everything on this screen, written or not.`,
    rescue:
      'The storage of this browser is full; the package was made from what is on the screen and lacks nothing that could be read.',
  },
  terminated: {
    open: 'This browser cut Luvren off from its storage. It is opened again by itself at the next step; if this stays, reload the page.',
    work: `This browser cut Luvren off from its storage. It is opened again at your next step, or try again now. ${RESCUE}`,
    rescue:
      'The storage could not be reached; the package was made from what is on the screen. Files that had to be read from the storage may be missing, and the package names them.',
  },
  deleted: {
    open: 'The data of this page were removed from this browser, so its reviews are no longer here. Open a package to have one again.',
    work: `The data of this page were removed from this browser while the review was open. What is on the screen is written anew at your next step, or try again now. ${RESCUE}`,
    rescue:
      'The data of this page were removed; the package was made from what is on the screen. Files that lay in the storage are missing, and the package names them.',
  },
  newer: {
    open: 'A newer Luvren has the storage of this browser. Reload this page to work with it.',
    work: `A newer Luvren was opened in this browser and has its storage. Nothing more can be written from this tab: reload it. ${RESCUE}`,
    rescue:
      'A newer Luvren has the storage; the package was made from what is on the screen. Files that had to be read from the storage may be missing, and the package names them.',
  },
  'older tab': {
    open: 'Another tab has an older Luvren open. Close it, then this one goes on by itself.',
    work: 'Another tab has an older Luvren open. Close it, then this one goes on by itself.',
    rescue: 'The storage waits for another tab; the package was made from what is on the screen.',
  },
  refused: {
    open: 'This browser does not let Luvren store anything. Allow storage for this page and reload it.',
    work: `What you did last could not be written. Try again. ${RESCUE}`,
    rescue: 'The storage could not be reached; the package was made from what is on the screen.',
  },
  parted: {
    open: 'The journal on disk is damaged. Open its package instead.',
    work: `What lies on disk is another history of this review than the one on the screen, so nothing is written over it. ${RESCUE} Then reload the page.`,
    rescue: 'The package was made from what is on the screen, which is not what lies on disk.',
  },
}

/** Which fault a state of saving speaks of, if any. */
export const faultOfState = (state: SaveState, fault: Fault | undefined): Fault | 'parted' | undefined =>
  fault ??
  (state === 'full' ? 'full' : state === 'parted' ? 'parted' : state === 'failed' ? 'refused' : undefined)

/** The words of a fault while one works, with what is true of the work: is any of it on the screen alone? */
export function faultAtWork(fault: Fault | 'parted', unsaved: boolean): string {
  const saved = unsaved
    ? 'What you did last is on this screen and not yet on disk.'
    : 'Everything you did is on disk.'
  const gone = fault === 'deleted' ? 'Nothing of this review is on disk now.' : saved
  return `${FAULT_WORDS[fault].work} ${gone}`
}
