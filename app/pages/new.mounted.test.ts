import { registerEndpoint } from '@nuxt/test-utils/runtime'
import { fireEvent } from '@testing-library/dom'
import { readBody, setResponseStatus, type H3Event } from 'h3'
import { describe, expect, it } from 'vitest'
import { alerts, field, mountPage, press } from '~~/tests/fixtures/mounted'
import SitesPage from './index.vue'
import SitePage from './sites/[site]/index.vue'

const holm = { id: 'holm-point', name: 'Holm Point', units: 'metric', walls: [] }
/** Refuses as the server does: with the fault of one field. */
function refuse(event: H3Event, path: string, message: string) {
  setResponseStatus(event, 422)
  return { error: { code: 'invalid', message, faults: [{ path, message }] } }
}
const made: unknown[] = []
registerEndpoint('/api/sites', { method: 'GET', handler: () => [holm] })
registerEndpoint('/api/walls', () => ({ walls: [], pending: 0 }))
registerEndpoint('/api/sites', { method: 'POST', handler: event => refuse(event, '$.name', 'must not be empty') })
registerEndpoint('/api/sites/holm-point/walls', {
  method: 'POST',
  handler: async (event) => {
    made.push(await readBody(event))
    return refuse(event, '$.width', 'must be at most 100 m')
  },
})
const typed = (label: string, value: string) => fireEvent.input(field(label), { target: { value } })

describe('a new site and a new wall', () => {
  it('refuses beside its field what a site cannot be called', async () => {
    await mountPage(SitesPage, '/')
    await press('Create site')
    await expect.poll(alerts).toContainEqual(expect.stringContaining('The name must not be empty'))
  })

  it('refuses beside their fields what a wall cannot measure, and keeps what was typed', async () => {
    await mountPage(SitePage, '/sites/holm-point')
    await typed('Width', '150 m')
    await typed('Height', 'tall')
    await press('Create wall')
    for (const told of ['Enter a name.', '“tall” is not a length']) {
      await expect.poll(alerts).toContainEqual(expect.stringContaining(told))
    }
    expect([made, field('Height').value]).toEqual([[], 'tall'])
    await typed('Height', '3000')
    await fireEvent.input(document.querySelector('#wall-name')!, { target: { value: 'Long' } })
    await press('Create wall')
    await expect.poll(alerts).toContainEqual(expect.stringContaining('at most 100 m'))
    expect(made).toMatchObject([{ wall: { id: 'long', name: 'Long', width: 150_000, height: 3000 } }])
    expect(field('Width').value).toBe('150 m')
  })
})
