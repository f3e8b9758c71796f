import { checkedSchema } from './checked'
import { circuitTestSchema } from './circuitTest'
import { correctionSchema } from './correction'
import { firmwareSchema } from './firmware'
import { fishedSchema } from './fished'
import { holeSchema } from './hole'
import { hungSchema } from './hung'
import { issuedSchema } from './issued'
import { lockedSchema } from './locked'
import { overrideSchema } from './override'
import { overrideEndedSchema } from './overrideEnded'
import { photoSchema } from './photo'
import { pointSchema } from './point'
import { pointDoneSchema } from './pointDone'
import { pulledSchema } from './pulled'
import { remarkSchema } from './remark'
import { replacedSchema } from './replaced'
import { seamsSchema } from './seams'
import { serialSchema } from './serial'
import { signedSchema } from './signed'
import { stepSchema } from './step'
import { testedSchema } from './tested'
import { torquedSchema } from './torqued'
import { turnedSchema } from './turned'
import { visitSchema } from './visit'
import type { EntryKind } from '../kinds'

/** What an entry of each kind must be. */
export const ENTRY_SCHEMAS = {
  'hole': holeSchema,
  'checked': checkedSchema,
  'override': overrideSchema,
  'override-ended': overrideEndedSchema,
  'issued': issuedSchema,
  'step': stepSchema,
  'seams': seamsSchema,
  'turned': turnedSchema,
  'fished': fishedSchema,
  'pulled': pulledSchema,
  'torqued': torquedSchema,
  'hung': hungSchema,
  'serial': serialSchema,
  'locked': lockedSchema,
  'firmware': firmwareSchema,
  'photo': photoSchema,
  'circuit-test': circuitTestSchema,
  'tested': testedSchema,
  'point': pointSchema,
  'point-done': pointDoneSchema,
  'signed': signedSchema,
  'visit': visitSchema,
  'replaced': replacedSchema,
  'remark': remarkSchema,
  'correction': correctionSchema,
} as const satisfies Record<EntryKind, unknown>

export { HOLE_RESULTS } from './hole'
