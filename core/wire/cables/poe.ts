import type { Source } from '../../job'
import type { Link } from './ports'
import type { Screen } from '../screens'

/**
 * Power over Ethernet by class, W: at the port of the switch, and at the device behind 100 m (IEEE 802.3).
 */
export const POE_CLASSES = [
  { class: 1, port: 4, device: 3.84 },
  { class: 2, port: 7, device: 6.49 },
  { class: 3, port: 15.4, device: 12.95 },
  { class: 4, port: 30, device: 25.5 },
  { class: 5, port: 45, device: 40 },
  { class: 6, port: 60, device: 51 },
  { class: 7, port: 75, device: 62 },
  { class: 8, port: 90, device: 71.3 },
] as const
export type PoeClass = typeof POE_CLASSES[number]

/**
 * The least class that gives a device so many watts at the end of 100 m of cable; undefined above all.
 *
 * @example
 * poeClassFor(20)?.class // 4: 25.5 W at the device, 30 W at the port
 */
export const poeClassFor = (watts: number): PoeClass | undefined =>
  POE_CLASSES.find(({ device }) => watts <= device + 1e-9)

/** A screen that is powered over its data cable. */
export interface PoeLoad { screen: string, label: string, watts: number, class?: PoeClass }

/** What a switch or data plate has to give over its data cables, and to which screens; `sum` at its ports, W. */
export interface PoePlan { source: Source, loads: PoeLoad[], sum: number }

/** Whether a screen is powered over its data cable alone. */
export const isPoe = ({ shown }: Pick<Screen, 'shown'>): boolean => shown?.poe !== undefined && !shown.power

/**
 * Screens that are powered over their data cables, by what feeds each, and those that nothing does: a port gives what
 * the class says, whatever the cable's length, and a daisy chain gives nothing on.
 */
export function poeOf(screens: Screen[], links: Link[]): { poe: PoePlan[], unpowered: PoeLoad[] } {
  const loads = screens.filter(isPoe).map(({ id, label, shown }): PoeLoad => {
    const found = poeClassFor(shown!.poe!)
    return { screen: id, label, watts: shown!.poe!, ...(found && { class: found }) }
  })
  const feeding = (screen: string) =>
    links.find(({ to, from, source }) => to === screen && from === undefined && source.kind === 'network')?.source
  const sources = [...new Set(loads.flatMap(({ screen }) => feeding(screen) ?? []))]
  return {
    poe: sources.map((source) => {
      const fed = loads.filter(({ screen }) => feeding(screen) === source)
      return { source, loads: fed, sum: fed.reduce((sum, load) => sum + (load.class?.port ?? load.watts), 0) }
    }),
    unpowered: loads.filter(({ screen }) => !feeding(screen)),
  }
}
