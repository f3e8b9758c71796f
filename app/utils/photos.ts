import { ApiError } from './api'

/** Where a picture of a site is had from; `thumb` for a small one. */
export const photoAddress = (site: string, photo: string, thumb = false) => `/api/sites/${site}/photos/${photo}${thumb ? '?thumb=1' : ''}`

/** Keeps a picture with a site and gives its name. @throws ApiError, also where it is no picture */
export async function sendPhoto(site: string, file: Blob): Promise<{ photo: string }> {
  let response: Response
  try {
    response = await fetch(`/api/sites/${site}/photos`, { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream', 'x-wide-trellis': 'photograph' } })
  }
  catch {
    throw new ApiError(0, 'no-connection', 'The server cannot be reached; add the picture again when it is back.')
  }
  const answer = await response.json().catch(() => ({})) as { photo: string, error?: { code: string, message: string } }
  if (!response.ok) throw new ApiError(response.status, answer.error?.code ?? 'error', answer.error?.message ?? 'The picture was refused.')
  return answer
}
