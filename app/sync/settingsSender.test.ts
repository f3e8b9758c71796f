import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { NO_SETTINGS, type Settings } from '~~/core/programme'
import { ApiError } from '../utils/api'
import { Device, type SettingsState } from './device'
import { Outbox } from './outbox'
import type { Server } from './sending'
import { soon } from '~~/tests/fixtures/soon'

let device: Device
let outbox: Outbox
let n = 0
const offline = () => new ApiError(0, 'no-connection', 'No connection.')
const FIRM: Settings = { ...NO_SETTINGS, aids: 2, betweenSites: 45 }

/** A server that keeps settings alone; `fails` says what to answer instead. */
class Standin implements Pick<Server, 'saveSettings'> {
  settings: SettingsState = { settings: FIRM, version: 1 }
  asked: number[] = []
  fails: () => Error | undefined = () => undefined
  saveSettings: Server['saveSettings'] = ({ settings, version }) => {
    this.asked.push(version)
    const error = this.fails()
    if (error) return Promise.reject(error)
    if (version !== this.settings.version) {
      return Promise.reject(new ApiError(409, 'stale', 'Somebody saved.', [], this.settings))
    }
    return Promise.resolve(this.settings = { settings, version: version + 1 })
  }
}
let server: Standin
beforeEach(() => {
  device = new Device(`settings-${n++}`)
  server = new Standin()
  outbox = new Outbox(device, server as unknown as Server)
})
afterEach(() => {
  outbox.close()
  device.close()
})
const changed = (more: Partial<Settings>) =>
  outbox.changeSettings({ settings: FIRM, version: 1 }, FIRM, { ...FIRM, ...more })
const kept = async () => (await device.settings.toArray())[0]
const idle = () => soon(() => expect(outbox.state.sending).toBe(false))

describe('the programme’s settings', () => {
  it('are kept while there is no connection, and sent once', async () => {
    server.fails = () => offline()
    await changed({ aids: 3 })
    expect([(await kept())?.settings.aids, outbox.state.offline]).toEqual([3, true])
    server.fails = () => undefined
    server.asked = []
    await outbox.send()
    await idle()
    expect([server.settings, server.asked, await kept()])
      .toEqual([{ settings: { ...FIRM, aids: 3 }, version: 2 }, [1], undefined])
    expect(outbox.state.programme).toEqual(server.settings)
  })

  it('are laid on what another person saved of other settings, and ask where both changed the same', async () => {
    server.settings = { settings: { ...FIRM, zone: 'Europe/Oslo' }, version: 5 }
    await changed({ aids: 3 })
    await idle()
    expect(server.settings).toEqual({ settings: { ...FIRM, zone: 'Europe/Oslo', aids: 3 }, version: 6 })
    server.settings = { settings: { ...FIRM, aids: 7 }, version: 9 }
    await changed({ aids: 4 })
    await idle()
    expect([server.settings.settings.aids, (await kept())?.refused]).toEqual([
      7,
      expect.stringContaining('same settings'),
    ])
    await outbox.resendSettings()
    await soon(async () => expect(await kept()).toBeUndefined())
    expect(server.settings).toEqual({ settings: { ...FIRM, aids: 4 }, version: 10 })
  })

  it('are theirs again once they are given up', async () => {
    server.settings = { settings: { ...FIRM, aids: 7 }, version: 9 }
    await changed({ aids: 4 })
    await idle()
    await outbox.giveUpSettings()
    expect([await kept(), server.settings.settings.aids]).toEqual([undefined, 7])
  })

  it('are not sent twice where only the answer was lost', async () => {
    const { saveSettings } = server
    server.saveSettings = async (change) => {
      await saveSettings(change)
      throw offline()
    }
    await changed({ aids: 3 })
    server.saveSettings = saveSettings
    await outbox.send()
    await idle()
    expect([await kept(), server.settings.version]).toEqual([undefined, 2])
  })
})
