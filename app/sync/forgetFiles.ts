import { CACHES } from './caches'

/** Takes lists, papers, pictures and files off this device. */
export async function forgetFiles(): Promise<void> {
  if (typeof caches !== 'undefined') await Promise.all(Object.values(CACHES).map(name => caches.delete(name)))
  localStorage.removeItem('wide-trellis:taken')
}
