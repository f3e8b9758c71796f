import type { Finding } from '../finding'
import type { Carrier, Fastener, Mount, ScreenArray, Structure } from '../job'
import type { Position } from '../mount'
import { quantity, words, type Text } from '../units'
import type { BoltLoad } from './carried'
import { CASE_NAMES } from './cases'
import { screwFault } from './displayScrew'
import type { Unheld } from './group'
import type { Fixing } from './fixing'
import type { LoadedEdge } from './loadedEdge'
import { boltUse } from './rail'

/** Over this a fastener is used more than is wise. */
export const MUCH = 0.8

const percent = (share: number) => `${Math.round(100 * share)} %`
const about = (array: ScreenArray) => ({ stage: 'fix', subject: { kind: 'array', id: array.id } }) as const

/** A stop for each way in which fasteners cannot hold a plate at all. */
export function unheldFindings(array: ScreenArray, unheld: { position: Position, why: Unheld }[]): Finding[] {
  return unheld.map(({ position: { id, row, column }, why }): Finding => why === 'none-above-foot'
    ? { severity: 'stop', code: 'no-fastener-above-foot', stage: 'fix', subject: { kind: 'screen', id }, message: words`R${String(row)} C${String(column)}: every fastener of its plate is at the plate’s foot, so nothing keeps its top to the wall.`, remedy: words`Fix a row above the foot, or take another mount for ${array.name}.` }
    : { severity: 'stop', code: 'plate-free-to-turn', stage: 'fix', subject: { kind: 'screen', id }, message: words`R${String(row)} C${String(column)}: its one fastener stands beside the display’s centre, so nothing keeps the plate from turning.`, remedy: words`Fix it with two or more, or bring the fastener under the centre.` })
}

/** A stop where loads across the grain push screws towards an edge that is too near for that. */
export function loadedEdgeFindings(array: ScreenArray, judgements: { position: Position, loadedEdges: LoadedEdge[] }[], fastener: Fastener | undefined): Finding[] {
  const found = judgements.flatMap(({ position: { row, column }, loadedEdges }) => loadedEdges.map(edge => ({ ...edge, name: `R${row} C${column} ${edge.hole.row} ${edge.hole.rank}` })))
  if (found.length === 0) return []
  const worst = found.reduce((a, b) => b.edge < a.edge ? b : a)
  const others = new Set(found.map(({ name }) => name)).size - 1
  return [{
    ...about(array), severity: 'stop', code: 'loaded-edge-too-near',
    message: words`${worst.name}${others > 0 ? ` and ${others} more` : ''}: ${CASE_NAMES[worst.case]}, the load is chiefly across the grain, towards an edge ${worst.edge} away; ${fastener?.name ?? fastener?.id ?? ''} needs ${worst.least} then, four diameters (NDS table 12.5.1C).`,
    remedy: words`Fix the plate to two members, to blocking or to a board, so that the load runs along the grain.`,
  }]
}

/** What is to be said of weights that are not known, and of framing that is not checked here. */
export function loadFindings(array: ScreenArray, mounts: Mount[], kind: Structure['kind']): Finding[] {
  const { player, mass } = array.behind ?? {}
  return [
    ...player !== undefined && mass === undefined ? [{ ...about(array), severity: 'caution' as const, code: 'player-mass-not-known', message: words`A player hangs behind each display of ${array.name}, and its mass is not known: it is not in these loads.`, remedy: words`Give it in Mount, under Depth.` }] : [],
    ...kind === 'steel-stud' && mounts.some(({ depth }) => depth.service > depth.stowed) ? [{ ...about(array), severity: 'caution' as const, code: 'steel-framing-unchecked', message: words`Screens are pulled out from light steel framing: the studs themselves are not checked here.`, remedy: words`Ask an engineer, or let blocking into the bays.` }] : [],
  ]
}

/** What is to be said of how far fasteners are used. */
export function useFindings(array: ScreenArray, { cases: [governing] }: Fixing, fastener: Fastener, mount: Mount, why: Text | undefined): Finding[] {
  const name = fastener.name ?? fastener.id
  if (why) return [{ ...about(array), severity: 'stop', code: 'capacity-not-known', message: words`What ${name} bears is not known: ${why}.`, remedy: words`Give the figure, or take a fastener whose sheet has it.` }]
  if (governing?.utilisation === undefined || governing.utilisation <= MUCH) return []
  const { utilisation } = governing
  const told = words`${name} under ${mount.name}: utilisation ${percent(utilisation)} at ${governing.name}, ${CASE_NAMES[governing.case]}: tension ${quantity(Math.round(governing.tension.value), 'N')}, shear ${quantity(Math.round(governing.shear.value), 'N')}.`
  return [utilisation > 1
    ? { ...about(array), severity: 'stop', code: 'fastener-overloaded', message: told, remedy: words`Take a larger fastener or more of them, a mount with its rows farther apart, or one that comes out less.` }
    : { ...about(array), severity: 'caution', code: 'fastener-much-used', message: told }]
}

/** What is to be said of rails and of the bolts between plates and what they stand on. */
export function carriedFindings(array: ScreenArray, { rail }: Fixing, carrier: Carrier | undefined, bolts: BoltLoad[]): Finding[] {
  if (!carrier || bolts.length === 0) return []
  const bolted = boltUse(carrier, bolts)
  const bolt: Finding[] = !bolted
    ? [{ ...about(array), severity: 'stop', code: 'bolt-not-known', message: words`What one bolt between a plate and the ${carrier.kind} bears is not known.`, remedy: words`Give tension and shear from its maker’s table.` }]
    : bolted.utilisation > MUCH
      ? [{ ...about(array), severity: bolted.utilisation > 1 ? 'stop' : 'caution', code: bolted.utilisation > 1 ? 'bolt-overloaded' : 'bolt-much-used', message: words`A bolt between plate and ${carrier.kind}: utilisation ${percent(bolted.utilisation)}, tension ${quantity(Math.round(bolted.tension), 'N')}, shear ${quantity(Math.round(bolted.shear), 'N')}.`, remedy: words`Take a stronger one, or a mount with more of them.` }]
      : []
  return [...bolt, ...bendingFindings(array, rail)]
}

function bendingFindings(array: ScreenArray, rail: Fixing['rail']): Finding[] {
  if (!rail) return []
  const bent = quantity(Math.round(rail.figure.value), 'N·m')
  if (rail.utilisation === undefined) return [{ ...about(array), severity: 'stop', code: 'rail-not-known', message: words`What the rail bears in bending is not known; it is bent by ${bent}.`, remedy: words`Give the figure from its maker’s table.` }]
  if (rail.utilisation <= MUCH) return []
  const told = words`The rail is bent by ${bent}: utilisation ${percent(rail.utilisation)}.`
  return [rail.utilisation > 1
    ? { ...about(array), severity: 'stop', code: 'rail-overbent', message: told, remedy: words`Take a stiffer rail, or fix it to more members.` }
    : { ...about(array), severity: 'caution', code: 'rail-much-bent', message: told }]
}

/** What is to be said of the screws into a display. */
export function screwFindings(array: ScreenArray, { screw }: Fixing, display: string): Finding[] {
  if (!screw.range) return [{ ...about(array), severity: 'stop', code: 'display-screw-not-known', message: words`Which screw goes into ${display} is not known: ${screw.fits ? '' : screw.why}.`, remedy: words`Give the figure in the catalogue.` }]
  const fault = array.screw === undefined ? undefined : screwFault(array.screw, screw.range)
  if (fault) {
    return [{
      ...about(array), severity: 'stop', code: `display-screw-${fault.kind}`,
      message: fault.kind === 'too-long'
        ? words`A screw of ${array.screw!} is ${fault.by} too long for ${display}: it breaks what is behind the insert.`
        : words`A screw of ${array.screw!} is ${fault.by} too short for ${display}: its thread strips.`,
      remedy: words`Take ${screw.range.shortest.value} to ${screw.range.longest.value}, or change what lies under its head.`,
    }]
  }
  return screw.fits || array.screw !== undefined
    ? []
    : [{ ...about(array), severity: 'caution', code: 'display-screw-to-buy', message: words`For ${display}: ${screw.why}.` }]
}
