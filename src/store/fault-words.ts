import type { Fault } from './connection'
import type { SaveState } from './journal-file'

/** In which moment a fault is met: while a review is opened, while one works, or while saving what can be saved. */
export type Moment = 'open' | 'work' | 'rescue'

const RESCUE = 'Save a package: it holds everything on this screen, written or not.'

/**
 * What is said of each fault in each moment: what has happened, what it means for the work, and what to do. A sentence
 * says that something is saved only where that is so; see `unsaved` below.
 */
export const FAULT_WORDS: Record<Told, Record<Moment, string>> = {
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
    work: `The data of this page were removed from this browser while the review was open. ${RESCUE}`,
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
    work: `This browser does not let Luvren read or write its storage just now. Try again. ${RESCUE}`,
    rescue: 'The storage could not be reached; the package was made from what is on the screen.',
  },
  removed: {
    open: 'The data of this page were removed from this browser, so its reviews are no longer here. Open a package to have one again.',
    work: `The data of this page were removed from this browser while the review was open. All of it is still in memory, and is written anew at your next step, or when you try again now. ${RESCUE}`,
    rescue: 'The package was made from what is on the screen and in memory.',
  },
  gone: {
    open: 'The data of this page were removed from this browser, so its reviews are no longer here. Open a package to have one again.',
    work: `The data of this page were removed from this browser while the review was open, and not all of it is in memory: nothing is written here any more, for it would be a review without its records. ${RESCUE} Then open your latest package of this review from the shelf.`,
    rescue: 'The package was made from what is on the screen and in memory.',
  },
  parted: {
    open: 'The journal on disk is damaged. Open its package instead.',
    work: `What lies on disk is another history of this review than the one on the screen, so nothing is written over it. ${RESCUE} Then reload the page.`,
    rescue: 'The package was made from what is on the screen, which is not what lies on disk.',
  },
}

/** A fault, or what came of one. */
type Told = Fault | 'parted' | 'removed' | 'gone'

/** Which fault a state of saving speaks of, if any. What became of the data says more than that they were removed. */
export const faultOfState = (state: SaveState, fault: Fault | undefined): Told | undefined =>
  state === 'removed' || state === 'gone'
    ? state
    : (fault ??
      (state === 'full'
        ? 'full'
        : state === 'parted'
          ? 'parted'
          : state === 'failed'
            ? 'refused'
            : undefined))

/**
 * The words of a fault while one works, with what is true of the work: is any of it on the screen alone? `missing`: what is
 * nowhere to be had any more, in words.
 */
export function faultAtWork(fault: Told, unsaved: boolean, missing = ''): string {
  const { work } = FAULT_WORDS[fault]
  if (fault === 'removed') return `${work} Nothing of this review is on disk now.`
  if (fault === 'gone') return `${work} Nowhere to be had any more: ${missing}.`
  if (unsaved) return `${work} What you did last is on this screen and not yet on disk.`
  // Of a full disk it is known what was written; in any other fault nobody has looked, and nothing is said of the disk.
  return fault === 'full' ? `${work} Everything you did is on disk.` : work
}

/** What is said when a package was saved that lacks something. */
export const rescueInWords = (fault: Told | undefined, lacks: string): string =>
  lacks
    ? `The package was saved. It lacks ${lacks}: they were in the storage of this browser alone. The package names them.`
    : fault
      ? FAULT_WORDS[fault].rescue
      : ''
