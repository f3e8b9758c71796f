import type { Schema } from 'yup'
import { displayFaults } from '../arrange'
import {
  boxModelSchema, cableModelSchema, displaySchema, fastenerSchema, mountSchema, schemaFaults, screwKitSchema,
  type BoxModel, type Fault,
} from '../job'
import { fastenerFigureFaults } from './fastenerFaults'
import { plateFaults } from './plateFaults'
import type { ModelKind } from './shelves'

/** What cannot be about a box: it clamps from more than it clamps to. */
const boxFaults = ({ clamps }: BoxModel): Fault[] =>
  clamps && clamps.min > clamps.max
    ? [{ path: '$.clamps.max', message: 'The maximum clamping thickness is less than the minimum' }]
    : []

/** One kind of model: what it is called, and what each model of it must be. */
interface Kind { name: string, names: string, schema: Schema, faults: (model: never) => Fault[] }

export const KINDS: Record<ModelKind, Kind> = {
  display: { name: 'display', names: 'Displays', schema: displaySchema, faults: displayFaults as Kind['faults'] },
  mount: { name: 'mount', names: 'Mounts', schema: mountSchema, faults: plateFaults as Kind['faults'] },
  fastener: {
    name: 'fastener',
    names: 'Fasteners',
    schema: fastenerSchema,
    faults: fastenerFigureFaults as Kind['faults'],
  },
  screwKit: { name: 'screw kit', names: 'Screw kits', schema: screwKitSchema, faults: () => [] },
  box: { name: 'box', names: 'Boxes', schema: boxModelSchema, faults: boxFaults as Kind['faults'] },
  cable: { name: 'cable', names: 'Cables', schema: cableModelSchema, faults: () => [] },
}

/** Every fault of a model, at paths under `$`: of each figure by itself, or else of figures against each other. */
export function modelFaults(kind: ModelKind, model: unknown): Fault[] {
  const faults = schemaFaults(KINDS[kind].schema, model, '$')
  return faults.length > 0 ? faults : KINDS[kind].faults(model as never)
}
