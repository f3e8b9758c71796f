import type { SiteState } from '~~/core/api/sites'
import { api } from './api'

/** Where a file of a site is had from. */
export const siteFileAddress = (site: string, file: string) => `/api/sites/${site}/files/${file}`

/** Keeps a file with a site, and gives the site as it is then. @throws ApiError */
export const sendSiteFile = (site: string, file: File) =>
  api<SiteState>(`/sites/${site}/files?name=${encodeURIComponent(file.name)}`, {
    method: 'POST',
    body: file,
    as: 'file',
  })
