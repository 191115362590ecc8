/** Told how much is done of how much; stops the work by answering no. */
export type GoOn = (done: number, of: number) => boolean | Promise<boolean>

const EVERY = 60

/** Asks every sixty milliseconds whether long work may go on: each asking lets the worker hear other calls. */
export class Pace {
  private asked = performance.now()

  constructor(private readonly goOn: GoOn | undefined) {}

  /** May it go on? */
  async at(done: number, of: number): Promise<boolean> {
    if (!this.goOn || performance.now() - this.asked < EVERY) return true
    const answer = await this.goOn(done, of)
    this.asked = performance.now()
    return answer
  }
}
