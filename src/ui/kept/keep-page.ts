/** Addresses that the service worker stands before; it keeps the sheets among them alone. */
const SCOPE = '/';

/**
 * Has this page and what it was made of kept on the device, so that it opens without the network. `false` where the browser keeps
 * nothing: it does so only over https or on this machine.
 */
export async function keepPage(): Promise<boolean> {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return false;
  try {
    const registration = await navigator.serviceWorker.register('/offline.js', { scope: SCOPE });
    const worker = registration.active ?? registration.waiting ?? registration.installing;
    if (!worker) return false;
    const loaded = performance.getEntriesByType('resource').map(({ name }) => name);
    const own = loaded.filter(
      (name) => new URL(name).origin === location.origin && new URL(name).pathname.startsWith('/_next/static/'),
    );
    await navigator.serviceWorker.ready;
    (registration.active ?? worker).postMessage({ keep: { page: location.href, files: own } });
    return true;
  } catch {
    return false;
  }
}
