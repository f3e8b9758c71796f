import type { InferType } from 'yup'
import { amount, count, extent, figure, group, list, maybe, must, name, oneOf, size, text } from './fields'
import { modelNotes } from './display'
import { FASTENER_KIND_NAMES } from '../fastening/kinds'
import { BASES } from './structures'

export const FINISHES = ['plain', 'zinc', 'coated', 'galvanised', 'stainless'] as const

const [SIZE, MAKER, HOLE] = ['Dimensions and material', 'Maker’s data', 'Hole and washer']
const newtons = (label: string) =>
  figure('N', label, MAKER)
    .moreThan(0, ({ value }: { value: unknown }) => `must be more than 0 N, not ${String(value)}`)
    .max(1e6, 'is more than any fastener can carry')
const share = (label: string) => amount('', 1, label, MAKER)

/**
 * A fastener into the wall. An anchor bears all that its maker allows from its critical distances on; nearer, down to
 * the least, less.
 */
export const fastenerSchema = group({
  id: name(),
  name: text('Name', 'Fastener'),
  kind: name('Kind', 'Fastener').meta({ kind: 'choice', choices: FASTENER_KIND_NAMES }),
  base: must(oneOf(BASES, 'Base material', 'Fastener')),
  diameter: must(size('Diameter', SIZE)),
  length: must(size('Length', SIZE)),
  root: size('Root diameter', SIZE),
  thread: size('Thread length without tip', SIZE),
  yield: amount('MPa', 5_000, 'Bending yield strength', SIZE),
  tip: extent('Tip length', SIZE),
  pitch: size('Thread pitch', SIZE),
  edgeDistance: extent('Minimum edge distance', SIZE),
  minJointDistance: extent('Minimum distance to a joint', SIZE),
  allowable: maybe({ tension: must(newtons('Allowable tension')), shear: must(newtons('Allowable shear')) }),
  embedment: size('Embedment', MAKER),
  head: extent('Washer and nut height', MAKER),
  minThickness: size('Minimum base thickness', MAKER),
  criticalEdge: size('Critical edge distance', MAKER),
  criticalSpacing: size('Critical spacing', MAKER),
  minSpacing: size('Minimum spacing', MAKER),
  edgeFactor: share('Load factor at minimum edge distance'),
  spacingFactor: share('Load factor at minimum spacing'),
  shearEdgeFactor: share('Shear load factor at minimum edge distance'),
  shearSpacingFactor: share('Shear load factor at minimum spacing'),
  torque: amount('N·m', 1_000, 'Tightening torque', MAKER),
  steel: maybe({
    yield: must(amount('MPa', 2_000, 'Yield strength of its steel', MAKER)),
    ultimate: must(amount('MPa', 2_500, 'Ultimate strength of its steel', MAKER)),
  }),
  bending: amount('N·m', 1e4, 'Allowable bending moment', MAKER),
  gauge: size('Steel thickness it was tested in', MAKER),
  hole: maybe({
    diameter: must(size('Hole diameter', HOLE)),
    depth: must(size('Hole depth in the base (of a toggle: from the face)', HOLE)),
  }),
  washer: size('Washer outer diameter', HOLE),
  finish: oneOf(FINISHES, 'Finish', 'Finish and packing'),
  pack: count(10_000, 'Pieces per pack', 'Finish and packing'),
  ...modelNotes,
})
export type Fastener = InferType<typeof fastenerSchema>

const lengths = (label: string) => list(must(size()), 60, label, 'Kit', 'lengths')
/** Screws, washers and spacers that come together, for fixing brackets to displays of one thread. */
export const screwKitSchema = group({
  id: name(),
  name: name('Name', 'Kit'),
  thread: must(size('Thread size (M)', 'Kit')),
  lengths: must(lengths('Screw lengths')).min(1, 'must have at least one length'),
  washers: must(lengths('Washer thicknesses')),
  spacers: must(lengths('Spacer lengths')),
  ...modelNotes,
})
export type ScrewKit = InferType<typeof screwKitSchema>
