import { existsSync } from 'node:fs'
import { delimiter, join } from 'node:path'

/** Debian's Chromium without windows first: a page in it costs a quarter less. */
const NAMES = ['chromium-headless-shell', 'chromium', 'chromium-browser']

/** The Chromium on this machine: the one named in CHROMIUM, else the first on the path; undefined if none. */
export function findChromium() {
  if (process.env.CHROMIUM) return process.env.CHROMIUM
  const folders = (process.env.PATH ?? '').split(delimiter)
  return NAMES.flatMap(name => folders.map(folder => join(folder, name))).find(existsSync)
}

/** A browser for a machine without a screen, that asks nothing of the network. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
