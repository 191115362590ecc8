import { wrap, type Remote } from 'comlink'
import type { LackingData } from './data/data-door'
import { ASK_AGAIN, isLackingSaid } from './data/lacking-said'

/** How a worker stands: it has answered, it has not yet though it should have, or it cannot be had. */
export type WorkerState = 'starting' | 'here' | 'late' | 'gone'

/** What a worker says first of all, once it has been read. */
export const HERE = 'luvren: here'

/** A worker that says nothing for so long is told of, in milliseconds. */
const LATE = 2000

/** Said where something was asked of a worker that cannot be had. */
export class WorkerGone extends Error {
  override name = 'WorkerGone'
  constructor(readonly what: string) {
    super(
      `The part of Luvren that ${what} could not be started. Try again, or reload the page: everything that you did is kept.`,
    )
  }
}

interface Opened<Desk> {
  desk: Remote<Desk>
  failed: Promise<never>
  here: Promise<void>
  leave: () => void
  /** Lets go of files that are late and asks for them anew. */
  askAgain: () => void
}

/** What a door needs of a worker. */
export type WorkerLike = Pick<
  Worker,
  'addEventListener' | 'postMessage' | 'removeEventListener' | 'terminate'
>

/**
 * The way to a worker, started when it is first asked. A worker that cannot be read, or that breaks before it has said that
 * it is here, is let go: whoever waits for an answer is told, and the next one who asks starts another.
 */
export class Door<Desk> {
  private opened: Opened<Desk> | undefined
  state: WorkerState = 'starting'

  constructor(
    /** What it does, in words: "reads records". */
    readonly what: string,
    private readonly start: () => WorkerLike,
    /** Told whenever the state is another. */
    private readonly changed: (door: Door<Desk>) => void,
  ) {}

  /** The files that its worker waits for, for longer than anybody waits without a word. */
  lackingData: readonly LackingData[] = []

  private hearsOfData(lackingData: readonly LackingData[]): void {
    this.lackingData = lackingData
    this.changed(this)
  }

  private become(state: WorkerState): void {
    if (this.state === state) return
    this.state = state
    this.changed(this)
  }

  private open(): Opened<Desk> {
    if (this.opened) return this.opened
    const worker = this.start()
    let fail: (error: Error) => void = () => undefined
    let came: () => void = () => undefined
    const failed = new Promise<never>((_done, no) => {
      fail = no
    })
    const here = new Promise<void>((done) => {
      came = done
    })
    // Nobody may be waiting for it.
    failed.catch(() => undefined)
    const late = setTimeout(() => this.become('late'), LATE)
    const gone = (): void => {
      clearTimeout(late)
      if (this.state === 'here') return
      this.opened = undefined
      worker.terminate()
      this.lackingData = []
      this.become('gone')
      fail(new WorkerGone(this.what))
    }
    const hear = (event: Event): void => {
      if ((event as MessageEvent).data !== HERE) return
      clearTimeout(late)
      worker.removeEventListener('message', hear)
      this.become('here')
      came()
    }
    worker.addEventListener('message', hear)
    worker.addEventListener('message', (event: Event) => {
      const { data } = event as MessageEvent<unknown>
      if (isLackingSaid(data)) this.hearsOfData(data.lackingData)
    })
    worker.addEventListener('error', gone)
    worker.addEventListener('messageerror', gone)
    this.become('starting')
    const askAgain = (): void => worker.postMessage(ASK_AGAIN)
    return (this.opened = { desk: wrap<Desk>(worker as Worker), failed, here, leave: gone, askAgain })
  }

  /** Waits no longer for a worker that is late: it counts as gone. */
  giveUp(): void {
    this.opened?.leave()
  }

  /** Has its worker ask anew for the files that are late. */
  askAgain(): void {
    if (this.lackingData.length) this.opened?.askAgain()
  }

  /** Resolves when the worker has said that it is here; rejects where it cannot be had. */
  ready(): Promise<void> {
    const { failed, here } = this.open()
    return Promise.race([here, failed])
  }

  /** The worker's desk: every call of it ends, with its answer or with why there is none. */
  get desk(): Remote<Desk> {
    const { desk, failed } = this.open()
    return guarded(desk as object, failed) as Remote<Desk>
  }
}

/** The same, where each call also ends when the worker is gone. */
function guarded(remote: object, failed: Promise<never>): object {
  return new Proxy(remote, {
    get: (of, key) => {
      const part: unknown = Reflect.get(of, key)
      return typeof part === 'function' && key !== 'then' ? guarded(part, failed) : part
    },
    apply: (of, _self, rest) => Promise.race([Reflect.apply(of as never, undefined, rest), failed]),
  })
}
