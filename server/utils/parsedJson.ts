import { apiError } from './apiError'

/** What a text says as JSON. @throws 400 where it is none */
export function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  }
  catch (error) {
    throw apiError(400, 'not-json', `The data sent is not JSON: ${(error as Error).message}`)
  }
}
