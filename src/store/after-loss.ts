import type { Fault } from './connection'

/** How long after a look at the storage that failed it is looked at again, in milliseconds. */
const LOOK_AGAIN = 1000

/** Was a connection lost by this, so that nobody knows what is on disk? */
const isLoss = (fault: Fault | undefined): boolean => fault === 'terminated' || fault === 'deleted'

export interface AfterLossOptions {
  /** How many connections were lost so far. */
  lost: () => number
  /** Looks what became of the open review; undefined where none is open. */
  look: () => Promise<void> | undefined
  tell: (fault: Fault | undefined, detail?: string) => void
}

/**
 * What is told of the storage. After a connection was lost, what is on disk is looked at as soon as there is one again;
 * until that has been seen the loss stays told: neither that all is well, which nobody knows, nor that the storage was not
 * given when it was asked for anew, which is only what followed.
 */
export class AfterLoss {
  private told: Fault | undefined
  /** How many connections had been lost when it was last looked. */
  private seen = 0
  private looking = false

  constructor(private readonly options: AfterLossOptions) {}

  /** A fault was met, or, with undefined, the storage is there (again). */
  met(fault: Fault | undefined, detail?: string): void {
    const waits = isLoss(this.told) && this.seen !== this.options.lost()
    if (!waits || (fault !== undefined && fault !== 'refused')) this.say(fault, detail)
    if (fault === undefined || isLoss(fault)) this.look(fault === undefined)
  }

  private say(fault: Fault | undefined, detail?: string): void {
    this.told = fault
    this.options.tell(fault, detail)
  }

  /** `there`: with no review open there is nothing to look at, and the storage has come back. */
  private look(there: boolean): void {
    const lost = this.options.lost()
    if (this.looking || lost === this.seen) return
    const looking = this.options.look()
    if (!looking) {
      if (there) this.pass(lost)
      return
    }
    this.looking = true
    looking
      .then(
        () => this.pass(lost),
        // The storage is not to be had yet: that is told already, and it is looked for again.
        (error: unknown) => {
          console.error(error)
          setTimeout(() => this.look(true), LOOK_AGAIN)
        },
      )
      .finally(() => {
        this.looking = false
        // It may have been lost once more meanwhile.
        if (this.seen === lost) this.look(false)
      })
  }

  /** What a loss took has been seen. */
  private pass(lost: number): void {
    this.seen = lost
    if (isLoss(this.told) && lost === this.options.lost()) this.say(undefined)
  }
}
