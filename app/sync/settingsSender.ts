import { same } from '~~/core/job'
import type { Settings } from '~~/core/programme'
import type { ApiError } from '../utils/api'
import { PROGRAMME, type Device, type SettingsState } from './device'
import { happenToSettings } from './keptChanges'
import type { ChangeEvent } from './pendingChange'
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

const versionOf = ({ version, settings: doc }: SettingsState) => ({ version, doc })

/** Sends what was changed in the programme's settings; what becomes of it is told by `changeAfter`. */
export class SettingsSender {
  constructor(private readonly device: Device, private readonly server: Server, private readonly tell: Told) {}

  /** @returns what the server was in trouble with */
  async send(): Promise<ApiError[]> {
    const kept = await this.device.settings.get(PROGRAMME)
    if (!kept || kept.refused !== undefined) return []
    const sent = await this.happen({ kind: 'sending' })
    if (!sent) return []
    try {
      await this.saved(sent, await this.server.saveSettings({ settings: sent, version: kept.version }))
      return []
    }
    catch (error) {
      return afterFailure(error, async (refusal) => {
        const theirs = refusal.status === 409 ? refusal.current as SettingsState | undefined : undefined
        if (!theirs) await this.happen({ kind: 'refused', sent, why: reasonOf(refusal) })
        // The server may have it although its answer was lost.
        else if (same(theirs.settings, sent)) await this.saved(sent, theirs)
        else await this.overtaken(theirs)
      })
    }
  }

  /** @returns what is on its way to the server after that */
  private async happen(event: ChangeEvent<Settings, never>): Promise<Settings | undefined> {
    const { device } = this
    const { change, again } = await device.transaction('rw', device.settings, () => happenToSettings(device, event))
    if (again) this.tell.again()
    return change?.sent
  }

  private async saved(sent: Settings, state: SettingsState): Promise<void> {
    await this.happen({ kind: 'saved', sent, kept: versionOf(state) })
    this.tell.saved(state)
  }

  private async overtaken(theirs: SettingsState): Promise<void> {
    await this.happen({ kind: 'overtaken', now: versionOf(theirs), aside: { refused: SAME_CHANGED } })
    this.tell.saved(theirs)
  }
}
