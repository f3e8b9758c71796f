import { api } from '../utils/api'
import { sendPhoto } from '../utils/photos'
import type { Server } from './sending'

const at = (site: string, wall: string) => `/sites/${site}/walls/${wall}`

/** The server as the outbox asks it. */
export const server: Server = {
  saveWall: ({ site, id, wall, version, models }) =>
    api(at(site, id), { method: 'PUT', body: { wall, version, models } }),
  addEntries: (site, wall, entries) => api(`${at(site, wall)}/log`, { method: 'POST', body: { entries } }),
  addKey: key => api('/session/key', { method: 'PUT', body: { key } }),
  addPhoto: ({ site, blob }) => sendPhoto(site, blob),
  addRevision: ({ site, wall, frozen }) => api(`${at(site, wall)}/revisions`, { method: 'POST', body: frozen }),
  saveSettings: ({ settings, version }) => api('/programme', { method: 'PUT', body: { settings, version } }),
}
