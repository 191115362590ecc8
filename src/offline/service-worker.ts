// Keeps the app of one build in the browser, so that it opens without a network. Made by `scripts/offline.mjs` after the
// build. A newer build is laid beside it and takes over when the last tab of this one is closed, or when somebody says so.
import { NetworkFirst, Serwist, type PrecacheEntry, type SerwistPlugin } from 'serwist'
import { ofOldAddress } from '../page/address'
import { DATA_LIST, payloadFor, type DataKept, type KeptBuild, type Said } from './kept'

declare const self: ServiceWorkerGlobalScope
declare const KEPT_BUILD: KeptBuild
const { files, payloads } = KEPT_BUILD

const DATA_CACHE = 'luvren-data'
/** How long the network is waited for where the data are here, in seconds. */
const PATIENCE = 3

/**
 * The settings of this bundler's workers stand behind the sign # of their address, which an answer from a cache has lost:
 * one made anew has the address that was asked for.
 */
const asAsked: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    request.destination === 'worker'
      ? new Response(response.body, { status: response.status, headers: response.headers })
      : response,
}

const keeper = new Serwist({
  precacheEntries: files as PrecacheEntry[],
  precacheOptions: {
    // Which review a page shows stands in its address; the page is the same.
    ignoreURLParametersMatching: [/./],
    cleanURLs: true,
    directoryIndex: 'index.html',
    plugins: [asAsked],
  },
  clientsClaim: true,
  skipWaiting: false,
  disableDevLogs: true,
})

// Before the pages themselves: these requests have the address of a page.
self.addEventListener('fetch', (event) => {
  const { pathname, origin } = new URL(event.request.url)
  if (origin !== self.location.origin || event.request.method !== 'GET') return
  const found = payloadFor(payloads, pathname, (name) => event.request.headers.get(name))
  if (!found) return
  event.stopImmediatePropagation()
  event.respondWith(
    new Response(found.text, {
      headers: {
        'content-type': 'text/x-component',
        'x-nextjs-prerender': '1',
        ...(found.part ? { 'x-nextjs-postponed': '2' } : { 'x-nextjs-stale-time': '300' }),
      },
    }),
  )
})

// The data may be another build's than the app: those of the network are taken where there is one.
keeper.registerCapture(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/data/'),
  new NetworkFirst({ cacheName: DATA_CACHE, networkTimeoutSeconds: PATIENCE }),
)
// Addresses of before, which named the review first: the server leads them on where there is one.
keeper.registerCapture(
  ({ request }) => request.mode === 'navigate',
  async ({ request }) => {
    const now = ofOldAddress(new URL(request.url).pathname)
    return now === undefined ? fetch(request) : Response.redirect(now, 302)
  },
)
keeper.addEventListeners()

self.addEventListener('message', (event) => {
  const said = event.data as Said
  if (said.say === 'take over') event.waitUntil(takeOver((others) => event.ports[0]?.postMessage(others)))
  if (said.say === 'keep data') event.waitUntil(keepData((how) => event.ports[0]?.postMessage(how)))
})

/** Takes over where one tab is open: another would lose the files of its build. Tells how many others there are. */
async function takeOver(tell: (others: number) => void): Promise<void> {
  const tabs = await self.clients.matchAll({ type: 'window', includeUncontrolled: true })
  tell(tabs.length - 1)
  if (tabs.length <= 1) await self.skipWaiting()
}

/** Fetches what is not kept yet, one after another, and tells how far it is; what cannot be had now is left for later. */
async function keepData(tell: (how: DataKept) => void): Promise<void> {
  const cache = await caches.open(DATA_CACHE)
  const list = await fetch(DATA_LIST).catch(() => cache.match(DATA_LIST))
  const urls = list?.ok ? ((await list.clone().json()) as string[]) : []
  let kept = 0
  for (const url of urls) {
    const answer = (await cache.match(url)) ?? (await fetch(url).catch(() => undefined))
    if (!answer?.ok) continue
    if (!(await cache.match(url))) await cache.put(url, answer)
    kept += 1
    tell({ kept, of: urls.length })
  }
  // The list comes last: where it is, somebody has had all of them.
  if (list?.ok && urls.length && kept === urls.length) await cache.put(DATA_LIST, list)
  tell({ kept, of: urls.length })
}
