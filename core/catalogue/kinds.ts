import type { Schema } from 'yup'
import { displayFaults } from '../arrange'
import {
  boxModelSchema, cableModelSchema, displaySchema, fastenerSchema, mountSchema, schemaFaults, screwKitSchema,
  type BoxModel, type CableModel, type Catalogue, type Display, type Fastener, type Fault, type Mount, type ScrewKit,
} from '../job'
import { fastenerFigureFaults } from './fastenerFaults'
import { plateFaults } from './plateFaults'

export type Model = Display | Mount | Fastener | ScrewKit | BoxModel | CableModel
export const MODEL_KINDS = ['display', 'mount', 'fastener', 'screwKit', 'box', 'cable'] as const
export type ModelKind = typeof MODEL_KINDS[number]

/** What cannot be about a box: it clamps from more than it clamps to. */
const boxFaults = ({ clamps }: BoxModel): Fault[] => clamps && clamps.min > clamps.max ? [{ path: '$.clamps.max', message: 'The maximum clamping thickness is less than the minimum' }] : []

/** One kind of model: its list in a catalogue, what it is called, and what each model of it must be. */
interface Kind { list: keyof Catalogue, name: string, names: string, schema: Schema, faults: (model: never) => Fault[] }

export const KINDS: Record<ModelKind, Kind> = {
  display: { list: 'displays', name: 'display', names: 'Displays', schema: displaySchema, faults: displayFaults as Kind['faults'] },
  mount: { list: 'mounts', name: 'mount', names: 'Mounts', schema: mountSchema, faults: plateFaults as Kind['faults'] },
  fastener: { list: 'fasteners', name: 'fastener', names: 'Fasteners', schema: fastenerSchema, faults: fastenerFigureFaults as Kind['faults'] },
  screwKit: { list: 'screwKits', name: 'screw kit', names: 'Screw kits', schema: screwKitSchema, faults: () => [] },
  box: { list: 'boxes', name: 'box', names: 'Boxes', schema: boxModelSchema, faults: boxFaults as Kind['faults'] },
  cable: { list: 'cables', name: 'cable', names: 'Cables', schema: cableModelSchema, faults: () => [] },
}

/** The models of one kind in a catalogue. */
export function modelsOf(catalogue: Catalogue, kind: ModelKind): Model[] {
  return catalogue[KINDS[kind].list] ?? []
}

/** Every fault of a model, at paths under `$`: of each figure by itself, or else of figures against each other. */
export function modelFaults(kind: ModelKind, model: unknown): Fault[] {
  const faults = schemaFaults(KINDS[kind].schema, model, '$')
  return faults.length > 0 ? faults : KINDS[kind].faults(model as never)
}
