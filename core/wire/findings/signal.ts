import type { Finding } from '../../finding'
import type { Mount, Wall } from '../../job'
import { mountKindOf } from '../../mount/kinds'
import { counted, words } from '../../units'
import { isSignal } from '../boxes/boxes'
import type { Screen } from '../screens'
import { nameOfSource } from '../sources'
import type { Wiring } from '../wiring'
import { about, some } from './about'

/** Sources with fewer ports than screens, and sources for screens that are gone. */
function sourceFindings(wall: Wall, { unported }: Wiring, screens: Screen[]): Finding[] {
  const label = (id: string) => screens.find(screen => screen.id === id)?.label ?? id
  const wanted = (wall.sources ?? []).flatMap(source => source.for ?? [])
  const away = wanted.filter(id => !screens.some(screen => screen.id === id))
  const naming = (wall.sources ?? []).filter(source => source.for?.some(id => away.includes(id)))
  return [
    ...unported.map(({ source, screens: without }): Finding => ({
      ...about(wall),
      severity: 'stop',
      code: 'no-port',
      facts: [without.length],
      message: words`${nameOfSource(source)} has ${counted(source.ports!)} ${source.ports === 1 ? 'port' : 'ports'}, and
        ${some(without.map(label))} ${without.length === 1 ? 'gets' : 'get'} none.`,
      remedy: words`Daisy-chain the screens, or add a player or a splitter.`,
    })),
    ...away.length > 0
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'screen-gone' as const,
          message: words`${some([...new Set(away)])} ${new Set(away).size === 1 ? 'is' : 'are'} assigned to
            ${some(naming.map(nameOfSource))}, but not on the wall.`,
          remedy: words`Choose again which screens the source feeds.`,
        }]
      : [],
  ]
}

/** Screens of a framed wall that no pass-through lets signal to. */
function passFindings(wall: Wall, { links, boxes }: Wiring, screens: Screen[]): Finding[] {
  const passed = boxes.filter(({ kind }) => isSignal(kind)).flatMap(box => box.for)
  const bare = links.filter(({ from, to }) => from === undefined && !passed.includes(to)).map(({ to }) => to)
  const open = [...new Set(bare)].map(id => screens.find(screen => screen.id === id)?.label ?? id)
  if (open.length === 0) return []
  return [{
    ...about(wall),
    severity: 'caution',
    code: 'no-pass-through',
    message: words`${some(open)} ${open.length === 1 ? 'has' : 'have'} no pass-through for signal.`,
    remedy: words`Add pass-throughs in Wire, under Boxes, or run the cables on the wall face.`,
  }]
}

/** Arms with fewer channels than power and signal require. */
function channelFindings(wall: Wall, screens: Screen[]): Finding[] {
  const arms = screens.flatMap(({ mounting }) => mounting && mountKindOf(mounting).swings ? [mounting] : [])
  const models: Mount[] = [...new Map(arms.map(mount => [mount.id, mount])).values()]
  return models.filter(({ channels = 0 }) => channels < 2).map((mount): Finding => mount.channels === undefined
    ? {
        ...about(wall),
        severity: 'caution',
        code: 'channels-not-known',
        message: words`The number of cable channels in the arm of ${mount.name} is not known: power and signal require
          one each.`,
        remedy: words`Enter it in the catalogue, from the maker’s data sheet.`,
      }
    : {
        ...about(wall),
        severity: 'stop',
        code: 'one-channel',
        message: words`The arm of ${mount.name} has one cable channel, and power and signal must not share one.`,
        remedy: words`Tie one cable along the outside, if the maker allows it, or use another arm.`,
      })
}

/** What is wrong or missing between the sources of signal and the screens. */
export const signalFindings = (wall: Wall, wiring: Wiring, screens: Screen[], framed: boolean): Finding[] => [
  ...sourceFindings(wall, wiring, screens),
  ...framed ? passFindings(wall, wiring, screens) : [],
  ...wiring.links.length > 0 ? channelFindings(wall, screens) : [],
]
