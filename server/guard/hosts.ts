import { hostname } from 'node:os'

/** This machine by itself. */
const SELF = ['localhost', '127.0.0.1', '[::1]']
const ADDRESS = /^(\d{1,3}(\.\d{1,3}){3}|\[[0-9a-f:.]+\])$/i

/** Where the server can be reached: on this machine alone, unless `HOST` says otherwise. */
export const isForThisMachineOnly = (host = process.env.HOST): boolean => !host || [...SELF, '::1'].includes(host)

/** Whether a request's Host is this machine by itself. */
export const isThisMachine = (header: string | undefined): boolean =>
  SELF.includes(header?.toLowerCase().replace(/:\d+$/, '') ?? '')

/**
 * Whether a request's Host is one by which this server is known. A page elsewhere that has its own name lead here
 * (DNS rebinding) sends that name, so names count only where they were given: this machine's, and those of `WT_HOSTS`.
 *
 * @param header the Host header, with or without a port
 * @param host what the server listens on, as `HOST` has it
 * @param names further names, comma between, as `WT_HOSTS` has them
 */
export function isOurHost(header: string | undefined, host = process.env.HOST, names = process.env.WT_HOSTS): boolean {
  const name = header?.toLowerCase().replace(/:\d+$/, '')
  if (!name) return false
  if (SELF.includes(name)) return true
  if (names?.split(',').some(each => each.trim().toLowerCase() === name)) return true
  if (isForThisMachineOnly(host)) return false
  const own = hostname().toLowerCase()
  return ADDRESS.test(name) || name === own || name === `${own}.local`
}
