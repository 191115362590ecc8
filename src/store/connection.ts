import { messageOf } from '@/core/base'
import { isFull, type Database, type DatabaseTrouble } from './db'

/**
 * Why the database of this browser is not at hand: the browser cut it off, its data were removed while it was open,
 * a newer Luvren has it, another tab has an older one open, there is no room, or the browser refuses.
 */
export type Fault = 'terminated' | 'deleted' | 'newer' | 'older tab' | 'full' | 'refused'

/** Which fault an error of the database speaks of. */
export const faultOf = (error: unknown): Fault =>
  isFull(error) ? 'full' : error instanceof Error && error.name === 'VersionError' ? 'newer' : 'refused'

/**
 * The way to the database. A connection that was lost is opened again when it is next asked for, so that whoever writes
 * only has to try again.
 */
export class Connection {
  private opened: Promise<Database> | undefined
  /** Rises with every connection that was lost: whoever failed can see whether trying again makes sense. */
  lost = 0

  constructor(
    private readonly open: (trouble: DatabaseTrouble) => Promise<Database>,
    /** Told of every fault, and with undefined that the database is there (again). */
    private readonly onFault: (fault: Fault | undefined, detail?: string) => void,
  ) {}

  /** The database; rejects where the browser does not give it. */
  get(): Promise<Database> {
    if (this.opened) return this.opened
    // A browser that refuses may throw at once: then too it is told what was refused.
    const opening: Promise<Database> = new Promise((done) =>
      done(
        this.open({
          onBlocked: () => this.onFault('older tab'),
          onBlocking: (deleted) => this.lose(opening, deleted ? 'deleted' : 'newer'),
          onTerminated: () => this.lose(opening, 'terminated'),
        }),
      ),
    )
    this.opened = opening
    opening.then(
      () => this.onFault(undefined),
      (error: unknown) => {
        if (this.opened === opening) this.opened = undefined
        this.onFault(faultOf(error), messageOf(error))
      },
    )
    return opening
  }

  private lose(which: Promise<Database>, fault: Fault): void {
    if (this.opened !== which) return
    this.opened = undefined
    this.lost++
    this.onFault(fault)
  }
}
