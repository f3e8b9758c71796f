import Dexie from 'dexie'
import { Device } from './device'
import { forgetFiles } from './forgetFiles'

/** Takes walls off this device but those of sites that are kept; what it has not sent stays. */
export async function forgetWalls(name: string, keeps: (site: string) => boolean): Promise<void> {
  const device = new Device(name)
  const goes = ({ key }: { key: string }) => !keeps(key.split('/')[0]!)
  await device.transaction('rw', device.seen, device.plans, device.revisions, async () => {
    await device.seen.filter(goes).delete()
    await device.plans.filter(goes).delete()
    await device.revisions.filter(revision => revision.unsent === undefined && goes(revision)).delete()
  }).finally(() => device.close())
}

/** Takes off this device what walls are drawn by until they are planned. */
export async function forgetPlans(name: string): Promise<void> {
  const device = new Device(name)
  await device.plans.clear().finally(() => device.close())
}

/** Takes the keys of this device: nothing more is signed in sessions that are over; what is signed stays signed. */
export async function forgetKeys(name: string): Promise<void> {
  const device = new Device(name)
  await device.keys.clear().finally(() => device.close())
}

/** How much this device keeps that the server does not have. */
export async function countUnsent(device: Device): Promise<number> {
  const { entries, designs, photos, settings } = device
  const counts = await Promise.all([entries, designs, photos, settings].map(table => table.count()))
  return counts.reduce((sum, count) => sum + count, 0)
}

/** Takes everything of a firm off this device, what it has not sent included. */
export async function forgetAll(name: string): Promise<void> {
  await forgetFiles()
  await Dexie.delete(name)
  for (const key of Object.keys(localStorage))
    if (
      key.startsWith('wide-trellis:')
      && !['wide-trellis:theme', 'wide-trellis:units', 'wide-trellis:fine'].includes(key)
    )
      localStorage.removeItem(key)
}
