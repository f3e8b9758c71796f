import type { Finding } from '../../finding'
import type { Wall } from '../../job'
import { quantity, words, type Text } from '../../units'
import { POE_CLASSES, type PoePlan } from '../cables/poe'
import { nameOfSource } from '../sources'
import type { Wiring } from '../wiring'
import { about, labels } from './about'

const MOST = POE_CLASSES.at(-1)!

/** What is wrong or not known of one switch or data plate that powers screens. */
function sourceFindings(wall: Wall, { source, loads, sum }: PoePlan): Finding[] {
  const { poe, poeClass } = source
  const weak = loads.filter(load => load.class && poeClass !== undefined && load.class.class > poeClass)
  const needed = Math.max(...loads.map(load => load.class?.class ?? 0))
  const stop = (
    code: 'poe-not-known' | 'poe-over-budget' | 'poe-port-too-weak', message: Text, remedy: Text,
  ): Finding => ({ ...about(wall), severity: 'stop', code, message, remedy })
  return [
    ...poe === undefined || poeClass === undefined
      ? [stop('poe-not-known',
          words`${nameOfSource(source)} powers ${labels(loads)} over Ethernet, and its
            ${poe === undefined ? 'PoE budget' : 'PoE class per port'} is not known: ${quantity(sum, 'W')} are required,
            and class ${String(needed)} at a port.`,
          words`Enter it in Wire, under Schedule, from the switch’s data sheet.`)]
      : [],
    ...poe !== undefined && sum > poe + 1e-9
      ? [stop('poe-over-budget',
          words`${nameOfSource(source)} must reserve ${quantity(sum, 'W')} for ${labels(loads)}, and its PoE budget is
            ${quantity(poe, 'W')}.`,
          words`Use a switch with a larger budget, or power some screens from an outlet.`)]
      : [],
    ...weak.length > 0
      ? [stop('poe-port-too-weak',
          words`${labels(weak)} ${weak.length === 1 ? 'requires' : 'require'} PoE class ${String(needed)}, and a port of
            ${nameOfSource(source)} gives class ${String(poeClass)}.`,
          words`Use a switch of that class, a midspan injector, or power them from an outlet.`)]
      : [],
  ]
}

/** What is wrong or not known of screens that are powered over their data cables. */
export function poeFindings(wall: Wall, { poe, unpowered }: Pick<Wiring, 'poe' | 'unpowered'>): Finding[] {
  const tooMuch = [...poe.flatMap(({ loads }) => loads), ...unpowered].filter(load => !load.class)
  return [
    ...unpowered.length > 0
      ? [{
          ...about(wall),
          severity: 'stop' as const,
          code: 'poe-not-fed' as const,
          message: words`${labels(unpowered)} ${unpowered.length === 1 ? 'is' : 'are'} powered over Ethernet, and no
            port of a switch feeds ${unpowered.length === 1 ? 'it' : 'them'}.`,
          remedy: words`Add a data plate or switch in Wire, under Schedule, with one cable per screen: a daisy chain
            carries no power on.`,
        }]
      : [],
    ...tooMuch.length > 0
      ? [{
          ...about(wall),
          severity: 'stop' as const,
          code: 'poe-too-much' as const,
          message: words`${labels(tooMuch)} ${tooMuch.length === 1 ? 'draws' : 'draw'} more over Ethernet than any class
            gives: at most ${quantity(MOST.device, 'W')} at the device.`,
          remedy: words`Check the figure in the catalogue, or power them from an outlet.`,
        }]
      : [],
    ...poe.flatMap(plan => sourceFindings(wall, plan)),
  ]
}
