/** Why Luvren cannot work in this browser at this address, in words; undefined where it can. */
export function lacking(): string | undefined {
  if (!window.isSecureContext)
    return 'This address is not a safe one, so the browser does not let Luvren store anything. Open it by https, or on the machine on which it runs as http://localhost.'
  if (!stores())
    return 'This browser does not let Luvren store anything here: allow data (cookies) for this page, leave the private window, or use another browser. Then reload.'
  if (!('locks' in navigator) || !('BroadcastChannel' in window) || !('randomUUID' in crypto))
    return 'This browser is too old for Luvren: what keeps several tabs from writing over each other is not there. Use a newer one.'
  return undefined
}

/** Is there a storage at all? Some browsers throw where it is only asked for. */
function stores(): boolean {
  try {
    return typeof indexedDB === 'object' && indexedDB !== null
  } catch {
    return false
  }
}
