import { displayFaults } from '../arrange'
import { contradictoryFigures } from '../catalogue/fastenerFaults'
import { plateFaults } from '../catalogue/plateFaults'
import type { CodeOf, Finding } from '../finding'
import type { Catalogue, Fault, ScreenArray, Wall } from '../job'
import { words } from '../units'

/** A stop for each model of an array whose own figures cannot be, as a file may bring one. */
export function modelFindings(
  array: ScreenArray,
  cells: { model: string, mount?: string }[],
  { displays, mounts, fasteners }: Catalogue,
): Finding[] {
  const stops = (stage: 'arrange' | 'mount' | 'fix', code: CodeOf<'stop'>, name: string, faults: Fault[]) =>
    faults.map(({ message }): Finding => ({
      severity: 'stop',
      code,
      stage,
      subject: { kind: 'array', id: array.id },
      message: words`${name}: ${message.charAt(0).toLowerCase()}${message.slice(1)}.`,
      remedy: words`Correct its figures in the catalogue.`,
    }))
  const used = new Set(cells.flatMap(({ model, mount = array.mount }) => [`display ${model}`, `mount ${mount}`]))
  return [
    ...displays
      .filter(({ id }) => used.has(`display ${id}`))
      .flatMap(model => stops('arrange', 'display-impossible', model.name, displayFaults(model))),
    ...mounts
      .filter(({ id }) => used.has(`mount ${id}`))
      .flatMap(model => stops('mount', 'mount-impossible', model.name, plateFaults(model))),
    ...fasteners
      .filter(({ id }) => id === array.fastener)
      .flatMap(model => stops('fix', 'fastener-impossible', model.name ?? model.id, contradictoryFigures(model))),
  ]
}

/** A caution while the arrays that are planned are not those that the client chose among several. */
export function alternativeFindings({ id, alternatives = [], alternative, chosen }: Wall): Finding[] {
  if (alternatives.length < 2 || (chosen !== undefined && chosen === alternative)) return []
  const name = (wanted: string | undefined) => alternatives.find(({ id }) => id === wanted)?.name ?? 'none'
  return [{
    severity: 'caution', code: 'alternative-open' as const, stage: 'arrange', subject: { kind: 'wall', id },
    message: chosen === undefined
      ? words`The wall has ${String(alternatives.length)} alternatives, and the client has not chosen one yet.`
      : words`The client chose “${name(chosen)}”, but this plan is “${name(alternative)}”.`,
    remedy: words`Get the client’s choice and plan that alternative before marking out.`,
  }]
}
