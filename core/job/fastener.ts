import type { InferType } from 'yup'
import { amount, count, extent, figure, group, list, maybe, must, name, oneOf, size, text } from './fields'
import { modelNotes } from './display'

export const BASES = ['wood-stud', 'steel-stud', 'block', 'concrete'] as const
/** What a wall is built of, and what a fastener goes into. */
export type Base = typeof BASES[number]
export const FINISHES = ['plain', 'zinc', 'coated', 'galvanised', 'stainless'] as const
/** Kinds of fastener that the house has rules for; a file may name others. */
export const FASTENER_KINDS = ['lag-screw', 'wood-screw', 'self-drilling', 'wedge-anchor', 'sleeve-anchor', 'screw-anchor', 'toggle', 'hollow-wall-anchor'] as const

const [SIZE, MAKER] = ['Figures', 'As its maker allows']
const newtons = (label: string) => figure('N', label, MAKER).moreThan(0, ({ value }: { value: unknown }) => `must be more than 0 N, and is ${String(value)}`).max(1e6, 'is more than any fastener bears')
const share = (label: string) => amount('', 1, label, MAKER)

/** A fastener into the wall. An anchor bears all that its maker allows from its critical distances on; nearer, down to the least, less. */
export const fastenerSchema = group({
  id: name(), name: text('Name', 'Fastener'), kind: name('Kind', 'Fastener').meta({ kind: 'choice', choices: FASTENER_KINDS }), base: must(oneOf(BASES, 'Goes into', 'Fastener')),
  diameter: must(size('Diameter', SIZE)), length: must(size('Length', SIZE)), root: size('Root diameter', SIZE), thread: size('Thread without tip', SIZE),
  yield: amount('MPa', 5_000, 'Bending yield', SIZE), tip: extent('Point', SIZE), pitch: size('Pitch of the thread', SIZE),
  edgeDistance: extent('Least edge distance', SIZE), minJointDistance: extent('Least distance to a joint', SIZE),
  allowable: maybe({ tension: must(newtons('Tension')), shear: must(newtons('Shear')) }), embedment: size('Embedment', MAKER), head: extent('Washer and nut', MAKER), minThickness: size('Thinnest base', MAKER),
  criticalEdge: size('All from an edge distance of', MAKER), criticalSpacing: size('All from a spacing of', MAKER), minSpacing: size('Least spacing', MAKER),
  edgeFactor: share('Share left at the least edge'), spacingFactor: share('Share left at the least spacing'), shearEdgeFactor: share('In shear, at the least edge'), shearSpacingFactor: share('In shear, at the least spacing'),
  torque: amount('N·m', 1_000, 'Torque', MAKER),
  finish: oneOf(FINISHES, 'Finish', 'In the van'), pack: count(10_000, 'In the maker’s pack', 'In the van'),
  ...modelNotes,
})
export type Fastener = InferType<typeof fastenerSchema>

const lengths = (label: string) => list(must(size()), 60, label, 'Kit', 'lengths')
/** Screws, washers and spacers that come together, for fixing brackets to displays of one thread. */
export const screwKitSchema = group({
  id: name(), name: name('Name', 'Kit'), thread: must(size('Thread, M', 'Kit')),
  lengths: must(lengths('Screws, lengths')).min(1, 'must have at least one length'), washers: must(lengths('Washers, thicknesses')), spacers: must(lengths('Spacers, lengths')), ...modelNotes,
})
export type ScrewKit = InferType<typeof screwKitSchema>
