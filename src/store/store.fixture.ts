import 'fake-indexeddb/auto'
import { emptyRecord } from '@/core/records'
import type { Connection } from './connection'
import { openDatabase, type Database, type DatabaseTrouble } from './db'
import type { RecordsElsewhere } from './environment'
import { locks } from './locks.fixture'
import { createStore, type Store } from './store'

/** How many entries a review has that was begun here: it is created, and its rules for differences are chosen. */
export const BEGUN = 3

export interface Browser {
  /** The name of its database. */
  name: string
  /** Opens a tab: a store of its own over the same database; `apart`: what is done in its place where records are read. */
  tab: (apart?: Partial<RecordsElsewhere>) => Store
  /** Ends a tab as a crash does: what it held in memory is gone, and so are its locks. */
  kill: (store: Store) => void
  /** The database as a test looks at it. */
  look: () => Promise<Database>
  /** What the connections of the tabs listen to, the latest last. */
  troubles: DatabaseTrouble[]
  /** Makes every next opening or writing fail; undefined lets them through again. */
  failing: { with: unknown } | undefined
}

/** A place for records that cannot be had: the store does its work itself. */
const gone = (): Promise<never> =>
  Promise.reject(Object.assign(new Error('not there'), { name: 'WorkerGone' }))
const NOWHERE: RecordsElsewhere = {
  works: gone,
  worksOf: gone,
  check: gone,
  wrongInKept: gone,
  rescued: gone,
  forget: gone,
}

let browsers = 0

/** A browser for tests: fake storage, real locks within this process, and faults on demand. */
export function browser(): Browser {
  const name = `browser-${++browsers}`
  const manager = locks()
  const held = new Map<Store, string>()
  let ids = 0
  const self: Browser = {
    name,
    troubles: [],
    failing: undefined,
    tab: (apart) => {
      let own = ''
      const store = createStore({
        db: async (trouble) => {
          self.troubles.push(trouble)
          if (self.failing) throw self.failing.with
          return guarded(await openDatabase(trouble, name), self)
        },
        now: () => new Date().toISOString(),
        newId: () => {
          const id = `id-${name}-${++ids}`
          own ||= id
          return id
        },
        newSalt: () => (++ids).toString(16).padStart(32, '0'),
        locks: manager,
        channel: (bus) => new BroadcastChannel(`${name}/${bus}`),
        ...(apart ? { records: { ...NOWHERE, ...apart } } : {}),
      })
      held.set(store, own)
      manager.names.add(`luvren-tab/${own}`)
      return store
    },
    kill: (store) => {
      manager.names.delete(`luvren-tab/${held.get(store)!}`)
    },
    look: () =>
      openDatabase(
        { onBlocked: () => undefined, onBlocking: () => undefined, onTerminated: () => undefined },
        name,
      ),
  }
  return self
}

/** The database with writing that fails while `failing` is set. */
function guarded(db: Database, of: Pick<Browser, 'failing'>): Database {
  return new Proxy(db, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key, target)
      if (typeof value !== 'function') return value
      return (...rest: unknown[]) => {
        const writes = key === 'put' || key === 'delete' || (key === 'transaction' && rest[1] === 'readwrite')
        if (writes && of.failing) throw of.failing.with
        return (value as (...r: unknown[]) => unknown).apply(target, rest)
      }
    },
  })
}

/** Brings two records into the open review; `file`: with the file that they came in, which no memory holds. */
export const bringTwo = (store: Store, file?: Uint8Array): Promise<void> =>
  store.lay(async ({ keepRecords, keepBytes }) =>
    store.act('records.import', {
      id: 'i',
      sourceId: 's',
      ...(await keepRecords([emptyRecord('1', 'One'), emptyRecord('2', 'Two')])),
      count: 2,
      at: '2026-11-25T09:00:00Z',
      ...(file ? { file: { name: 'a.ris', digest: await keepBytes(file) } } : {}),
    }),
  )

export type { Connection }
