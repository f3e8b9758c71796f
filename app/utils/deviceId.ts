import { newId } from './newId'

const KEY = 'wide-trellis:device'
let known: string | undefined

/** What this browser is called in the entries that it makes. */
export function deviceId(): string {
  known ??= stored()
  return known
}

/** Where the browser keeps nothing, the name lasts as long as the page. */
function stored(): string {
  try {
    const id = localStorage.getItem(KEY) ?? newId()
    localStorage.setItem(KEY, id)
    return id
  }
  catch {
    return newId()
  }
}
