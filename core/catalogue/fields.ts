import { BASES, ORIENTATIONS } from '../job'
import type { ModelKind } from './kinds'

/** How a figure of a model is typed and read. */
export type FieldKind = 'length' | 'figure' | 'count' | 'text' | 'choice' | 'choices' | 'lengths' | 'names' | 'slots' | 'uses'

/** One figure of a model: where it is, what it is called, and what it may be. */
export interface ModelField {
  path: string
  label: string
  kind: FieldKind
  /** What it is measured in, where it is no length. */
  unit?: string
  choices?: readonly string[]
  /** Whether a model may do without it. */
  optional?: boolean
}

/** Figures that are looked at together. */
export interface FieldGroup { title: string, fields: ModelField[] }

const length = (path: string, label: string, optional = false): ModelField => ({ path, label, kind: 'length', optional })
const figure = (path: string, label: string, unit: string, optional = false): ModelField => ({ path, label, kind: 'figure', unit, optional })
const count = (path: string, label: string): ModelField => ({ path, label, kind: 'count' })
const text = (path: string, label: string, optional = false): ModelField => ({ path, label, kind: 'text', optional })
const choice = (path: string, label: string, choices: readonly string[], optional = false): ModelField => ({ path, label, kind: 'choice', choices, optional })
const choices = (path: string, label: string, of: readonly string[], optional = true): ModelField => ({ path, label, kind: 'choices', choices: of, optional })
const SIDES = ['top', 'right', 'bottom', 'left'] as const
const NOTE = { title: 'Note', fields: [text('note', 'Note', true)] }

/** The figures of each kind of model, as a datasheet has them: the editor, the list and the tables are drawn from this. */
export const MODEL_FIELDS: Record<ModelKind, FieldGroup[]> = {
  display: [
    { title: 'Case', fields: [text('name', 'Name'), choice('use', 'Made for', ['video-wall', 'signage'], true), length('width', 'Width'), length('height', 'Height'), length('depth', 'Depth'), figure('mass', 'Mass', 'kg'), length('sizeTolerance', 'Size is within ±', true)] },
    { title: 'Picture', fields: [length('bezel.top', 'Bezel above'), length('bezel.bottom', 'Bezel below'), length('bezel.left', 'Bezel left'), length('bezel.right', 'Bezel right'), count('resolution.x', 'Pixels across'), count('resolution.y', 'Pixels up')] },
    { title: 'Back', fields: [
      length('vesa.width', 'Pattern width'), length('vesa.height', 'Pattern height'), length('vesa.offset.x', 'Pattern right of centre'), length('vesa.offset.y', 'Pattern above centre'),
      length('vesa.thread', 'Thread, M', true), length('vesa.insertDepth', 'Insert depth', true),
      choice('back.profile', 'Profile', ['flat', 'stepped', 'recessed'], true), length('back.rim', 'Depth at the rim', true), length('vesa.recess', 'Recess of the pattern', true),
      choices('ports', 'Sockets on its', SIDES), choices('vents', 'Vents on its', SIDES),
    ] },
    { title: 'Centre of gravity, where it is not the middle of the case', fields: [length('centreOfGravity.x', 'Right of centre', true), length('centreOfGravity.y', 'Above centre', true), length('centreOfGravity.z', 'In front of the back', true)] },
    { title: 'Power', fields: [figure('power.typical', 'Typical', 'W', true), figure('power.max', 'Most', 'W', true)] },
    NOTE,
  ],
  mount: [
    { title: 'Mount', fields: [text('name', 'Name'), choice('kind', 'Kind', ['pull-out', 'fixed', 'tilt', 'arm']), figure('mass', 'Mass', 'kg'), figure('capacity', 'Carries', 'kg'), choices('orientations', 'Takes a display hung', ORIENTATIONS, false)] },
    { title: 'Plate', fields: [length('plate.width', 'Width'), length('plate.height', 'Height'), length('plate.thickness', 'Thickness'), figure('plate.bearingStrength', 'Its steel bears', 'MPa', true), length('interface.x', 'Pattern right of plate'), length('interface.y', 'Pattern above plate'), length('bracket', 'Bracket on the display', true), { path: 'plate.slots', label: 'Slots: row, up, from, to, diameter', kind: 'slots' }] },
    { title: 'Needs', fields: [count('needs.members', 'Members in each row'), { path: 'needs.rows', label: 'Rows', kind: 'names' }, length('needs.minSpacing', 'In a row no nearer than', true), { path: 'otherNeeds', label: 'Other uses: members: rows: carries kg', kind: 'uses', optional: true }, length('maxCovering', 'Thickest covering', true)] },
    { title: 'Depth', fields: [length('depth.stowed', 'Stowed'), length('depth.service', 'Pulled out'), length('lift', 'Lift to hook on', true), length('sideClearance', 'Clear at each side', true)] },
    { title: 'Adjusters, either way', fields: [length('adjust.lateral', 'Sideways', true), length('adjust.height', 'Height', true), length('adjust.depth', 'Depth', true), figure('adjust.roll', 'Roll', '°', true)] },
    NOTE,
  ],
  fastener: [
    { title: 'Fastener', fields: [text('name', 'Name', true), choice('kind', 'Kind', ['lag-screw', 'wood-screw', 'self-drilling', 'wedge-anchor', 'sleeve-anchor', 'screw-anchor', 'toggle', 'hollow-wall-anchor']), choice('base', 'Goes into', BASES)] },
    { title: 'Figures', fields: [length('diameter', 'Diameter'), length('length', 'Length'), length('root', 'Root diameter', true), length('thread', 'Thread without tip', true), figure('yield', 'Bending yield', 'MPa', true), length('tip', 'Point', true), length('pitch', 'Pitch of the thread', true), length('edgeDistance', 'Least edge distance', true), length('minJointDistance', 'Least distance to a joint', true)] },
    { title: 'As its maker allows', fields: [figure('allowable.tension', 'Tension', 'N', true), figure('allowable.shear', 'Shear', 'N', true), length('embedment', 'Embedment', true), length('head', 'Washer and nut', true), length('minThickness', 'Thinnest base', true), length('criticalEdge', 'All from an edge distance of', true), length('criticalSpacing', 'All from a spacing of', true), length('minSpacing', 'Least spacing', true), figure('edgeFactor', 'Share left at the least edge', '', true), figure('spacingFactor', 'Share left at the least spacing', '', true), figure('shearEdgeFactor', 'In shear, at the least edge', '', true), figure('shearSpacingFactor', 'In shear, at the least spacing', '', true), figure('torque', 'Torque', 'N·m', true)] },
    { title: 'In the van', fields: [choice('finish', 'Finish', ['plain', 'zinc', 'coated', 'galvanised', 'stainless'], true), { path: 'stock', label: 'In stock', kind: 'count', optional: true }] },
    NOTE,
  ],
  screwKit: [
    { title: 'Kit', fields: [text('name', 'Name'), length('thread', 'Thread, M'), { path: 'lengths', label: 'Screws, lengths', kind: 'lengths' }, { path: 'washers', label: 'Washers, thicknesses', kind: 'lengths' }, { path: 'spacers', label: 'Spacers, lengths', kind: 'lengths' }] },
    NOTE,
  ],
}

/** Every figure of a kind, in order. */
export const fieldsOf = (kind: ModelKind): ModelField[] => MODEL_FIELDS[kind].flatMap(({ fields }) => fields)
