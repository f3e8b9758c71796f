import { clash, merge, same } from '~~/core/job'
import type { ApiError } from '../utils/api'
import { PROGRAMME, type Device, type SettingsChange, type SettingsState } from './device'
import { afterFailure, reasonOf, type Server } from './sending'

/** What follows for the outbox from what became of a change. */
interface Told {
  /** There is more to send. */
  again: () => void
  /** How the server has the programme now. */
  saved: (state: SettingsState) => void
}

/** Why a change waits for whoever made it. */
const SAME_CHANGED = 'Another user changed the same settings in the meantime. '
  + 'Send again to replace their values with yours, or discard your changes.'

/**
 * Sends what was changed in the programme's settings, and lays it on what another person saved meanwhile where the two
 * changed different settings.
 */
export class SettingsSender {
  constructor(private readonly device: Device, private readonly server: Server, private readonly tell: Told) {}

  /** @returns what the server was in trouble with */
  async send(): Promise<ApiError[]> {
    const change = await this.device.settings.get(PROGRAMME)
    if (!change || change.refused !== undefined) return []
    const { settings: sent, version } = change
    try {
      await this.noteSaved(sent, await this.server.saveSettings({ settings: sent, version }))
      return []
    }
    catch (error) {
      return afterFailure(error, async (refusal) => {
        const theirs = refusal.status === 409 ? refusal.current as SettingsState | undefined : undefined
        if (!theirs) return this.device.settings.update(PROGRAMME, { refused: reasonOf(refusal) })
        // The server may have it although its answer was lost.
        return same(theirs.settings, sent) ? this.noteSaved(sent, theirs) : this.layOn(theirs)
      })
    }
  }

  private async layOn(theirs: SettingsState): Promise<void> {
    const { settings } = this.device
    await this.device.transaction('rw', settings, async () => {
      const change = await settings.get(PROGRAMME)
      if (!change) return
      const next = {
        ...change,
        version: theirs.version,
        base: theirs.settings,
        settings: merge(change.base, change.settings, theirs.settings),
      }
      const asks = clash(change.base, change.settings, theirs.settings)
      await settings.put(asks ? { ...next, refused: SAME_CHANGED } : next)
    })
    this.tell.saved(theirs)
    this.tell.again()
  }

  /** Notes that the server has a change; what was changed since it was sent is a change of the new version. */
  private async noteSaved(sent: SettingsChange['settings'], state: SettingsState): Promise<void> {
    const { settings } = this.device
    await this.device.transaction('rw', settings, async () => {
      const change = await settings.get(PROGRAMME)
      if (!change || same(change.settings, sent)) return settings.delete(PROGRAMME)
      const mine = merge(sent, change.settings, state.settings)
      await settings.put({ ...change, version: state.version, base: state.settings, settings: mine })
      this.tell.again()
    })
    this.tell.saved(state)
  }
}
