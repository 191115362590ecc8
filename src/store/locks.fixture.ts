/** Locks as a browser has them, for one process: who asks first works first. */
export function locks() {
  const held = new Map<string, Promise<unknown>>()
  const names = new Set<string>()
  return {
    names,
    request: (name: string, work: () => Promise<unknown>): Promise<unknown> => {
      const next = (held.get(name) ?? Promise.resolve()).then(work, work)
      held.set(
        name,
        next.catch(() => undefined),
      )
      return next
    },
    query: () => Promise.resolve({ held: [...names].map((name) => ({ name })) }),
  }
}
