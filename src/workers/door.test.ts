import { expose } from 'comlink'
import { describe, expect, it, vi } from 'vitest'
import { ASK_AGAIN } from './data/lacking-said'
import { Door, HERE, WorkerGone, type WorkerLike } from './door'

interface Desk {
  twice: (n: number) => number
}

/** A worker within this process: a channel whose far end exposes a desk, and that can break. */
function worker(comes: boolean) {
  const { port1, port2 } = new MessageChannel()
  const told = new EventTarget()
  let terminated = false
  port1.onmessage = (event) =>
    told.dispatchEvent(new MessageEvent('message', { data: event.data as unknown }))
  const like = {
    addEventListener: told.addEventListener.bind(told),
    removeEventListener: told.removeEventListener.bind(told),
    postMessage: (message: unknown, transfer: Transferable[]) => port1.postMessage(message, transfer),
    terminate: () => {
      terminated = true
      port1.close()
    },
  } as unknown as WorkerLike
  if (comes) {
    expose({ twice: (n: number) => 2 * n }, port2 as never)
    port2.postMessage(HERE)
  }
  return {
    like,
    breaks: () => told.dispatchEvent(new Event('error')),
    says: (data: unknown) => told.dispatchEvent(new MessageEvent('message', { data })),
    ended: () => terminated,
  }
}

describe('the way to a worker', () => {
  it('gives its answers, once it has said that it is here', async () => {
    const states: string[] = []
    const door = new Door<Desk>(
      'reckons',
      () => worker(true).like,
      (d) => states.push(d.state),
    )
    expect(await door.desk.twice(21)).toBe(42)
    await door.ready()
    expect(states).toEqual(['here'])
  })

  it('ends every call when it cannot be read, and starts another for the next', async () => {
    const workers = [worker(false), worker(true)]
    const started = vi.fn()
    let n = 0
    const door = new Door<Desk>(
      'reckons',
      () => {
        started()
        return workers[n++]!.like
      },
      () => undefined,
    )
    const asked = door.desk.twice(1)
    workers[0]!.breaks()
    await expect(asked).rejects.toThrow(WorkerGone)
    expect(door.state).toBe('gone')
    expect(workers[0]!.ended()).toBe(true)
    expect(await door.desk.twice(2)).toBe(4)
    expect(started).toHaveBeenCalledTimes(2)
  })

  it('says so where it does not come, and gives up only when it is told to', async () => {
    vi.useFakeTimers()
    try {
      const door = new Door<Desk>(
        'reckons',
        () => worker(false).like,
        () => undefined,
      )
      const asked = door.desk.twice(1)
      asked.catch(() => undefined)
      expect(door.state).toBe('starting')
      vi.advanceTimersByTime(2000)
      expect(door.state).toBe('late')
      door.giveUp()
      await expect(asked).rejects.toThrow('could not be started')
    } finally {
      vi.useRealTimers()
    }
  })

  it('hears of files that are late, has them asked for anew, and forgets them with the worker', async () => {
    const w = worker(true)
    const heard: unknown[] = []
    const told: number[] = []
    const door = new Door<Desk>(
      'reckons',
      () => ({ ...w.like, postMessage: (m: unknown) => heard.push(m) }) as WorkerLike,
      (d) => told.push(d.lackingData.length),
    )
    await door.ready()
    door.askAgain()
    expect(heard).toEqual([])
    w.says({ lackingData: [{ what: 'the synonyms', loaded: 7 }] })
    expect(door.lackingData).toEqual([{ what: 'the synonyms', loaded: 7 }])
    door.askAgain()
    expect(heard).toEqual([ASK_AGAIN])
    w.says({ lackingData: [] })
    expect(told.slice(-2)).toEqual([1, 0])
  })
})
