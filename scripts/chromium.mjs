import { existsSync } from 'node:fs'
import { delimiter, join } from 'node:path'

/** The Chromium on this machine: the one named in CHROMIUM, else the first on the path; undefined if none. */
export function findChromium() {
  if (process.env.CHROMIUM) return process.env.CHROMIUM
  return (process.env.PATH ?? '').split(delimiter)
    .flatMap(folder => ['chromium', 'chromium-browser'].map(name => join(folder, name)))
    .find(existsSync)
}

/** A browser for a machine without a screen, that asks nothing of the network. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync',
]
