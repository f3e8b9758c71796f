import { cookieOf } from '../scripts/house.mjs'

let cookie = ''

/** Goes in as the demo's planner at the server that is measured; what is asked from then on is asked as him. */
export async function goIn(address: string): Promise<void> {
  cookie = await cookieOf(address)
}

/** What a request says of who asks. */
export const who = (): { cookie: string } => ({ cookie })

/** Asks the server that is measured. */
export const ask = (url: string, init: RequestInit = {}): Promise<Response> =>
  fetch(url, { ...init, headers: { ...who(), ...(init.headers as Record<string, string>) } })
