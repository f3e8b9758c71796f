import { api } from './api'

/** Where a picture of a site is had from; `thumb` for a small one. */
export const photoAddress = (site: string, photo: string, thumb = false) =>
  `/api/sites/${site}/photos/${photo}${thumb ? '?thumb=1' : ''}`

/** Keeps a picture with a site and gives its name. @throws ApiError, also where it is no picture */
export const sendPhoto = (site: string, file: Blob) =>
  api<{ photo: string }>(`/sites/${site}/photos`, { method: 'POST', body: file, as: 'photograph' })
