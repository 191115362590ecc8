import type { LockOptions } from './environment'

interface Asked {
  shared: boolean
  begin: () => void
}

/** Locks as a browser has them, for one process: who asks first works first, and those who share work together. */
export function locks() {
  const held = new Map<string, Asked[]>()
  const queues = new Map<string, Asked[]>()
  const names = new Set<string>()
  const next = (name: string): void => {
    const own = held.get(name) ?? []
    const queue = queues.get(name) ?? []
    while (queue.length && (!own.length || (queue[0]!.shared && own.every((o) => o.shared)))) {
      const one = queue.shift()!
      own.push(one)
      held.set(name, own)
      one.begin()
    }
  }
  return {
    names,
    request: <T>(
      name: string,
      { mode, ifAvailable }: LockOptions,
      work: (had: boolean) => Promise<T>,
    ): Promise<T> => {
      const shared = mode === 'shared'
      const own = held.get(name) ?? []
      const free = !queues.get(name)?.length && (!own.length || (shared && own.every((o) => o.shared)))
      if (ifAvailable && !free) return work(false)
      return new Promise<T>((done, failed) => {
        const asked: Asked = {
          shared,
          begin: () => {
            // As in a browser, the lock is free before whoever asked for it is told.
            const free = (): void => {
              held.set(
                name,
                held.get(name)!.filter((o) => o !== asked),
              )
              next(name)
            }
            work(true).finally(free).then(done, failed)
          },
        }
        queues.set(name, [...(queues.get(name) ?? []), asked])
        next(name)
      })
    },
    query: () => Promise.resolve({ held: [...names].map((name) => ({ name })) }),
  }
}
