import { index, integer, real, sqliteTable, text, uniqueIndex, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core'

/*
 * The job file as tables. A column's key in this file is its path in the job file, so that one
 * mapper (records.ts) turns any row into its part of the file and back. `key`, `parent` and `extra`
 * are the house's own: a row's number, which also keeps a list's order; the row it belongs to; and
 * whatever keys of the file have no column.
 */

const own = () => ({
  key: integer('key').primaryKey({ autoIncrement: true }),
  extra: text('extra', { mode: 'json' }).$type<Record<string, unknown>>(),
})
const partOf = (column: () => AnySQLiteColumn) => ({
  ...own(),
  parent: integer('parent').notNull().references(column, { onDelete: 'cascade' }),
})

export const sites = sqliteTable('sites', {
  ...own(),
  'version': integer('version').notNull().default(1),
  'site.id': text('id').notNull().unique(),
  'site.name': text('name').notNull(),
  'site.units': text('units').notNull(),
  'rules.heightDatum': text('height_datum'),
  'rules.hollowWallAnchors': text('hollow_wall_anchors'),
  'rules.proofOfFraming': text('proof_of_framing'),
  'rules.coveringCountsAsGap': integer('covering_counts_as_gap', { mode: 'boolean' }),
  'rules.blockJoints': text('block_joints'),
  'rules.furring': text('furring'),
  'rules.markingSigma': real('marking_sigma'),
})

export const displays = sqliteTable('displays', {
  ...partOf(() => sites.key),
  'id': text('id').notNull(),
  'name': text('name').notNull(),
  'width': real('width').notNull(),
  'height': real('height').notNull(),
  'depth': real('depth').notNull(),
  'mass': real('mass').notNull(),
  'bezel.top': real('bezel_top').notNull(),
  'bezel.right': real('bezel_right').notNull(),
  'bezel.bottom': real('bezel_bottom').notNull(),
  'bezel.left': real('bezel_left').notNull(),
  'resolution.x': integer('resolution_x').notNull(),
  'resolution.y': integer('resolution_y').notNull(),
  'vesa.width': real('vesa_width').notNull(),
  'vesa.height': real('vesa_height').notNull(),
  'vesa.offset.x': real('vesa_offset_x').notNull(),
  'vesa.offset.y': real('vesa_offset_y').notNull(),
  'vesa.thread': real('vesa_thread'),
  'vesa.insertDepth': real('vesa_insert_depth'),
  'vesa.recess': real('vesa_recess'),
  'power.typical': real('power_typical'),
  'power.max': real('power_max'),
  'sizeTolerance': real('size_tolerance'),
}, t => [uniqueIndex('displays_id').on(t.parent, t.id)])

export const mounts = sqliteTable('mounts', {
  ...partOf(() => sites.key),
  'id': text('id').notNull(),
  'name': text('name').notNull(),
  'kind': text('kind').notNull(),
  'mass': real('mass').notNull(),
  'capacity': real('capacity').notNull(),
  'plate.width': real('plate_width').notNull(),
  'plate.height': real('plate_height').notNull(),
  'plate.thickness': real('plate_thickness').notNull(),
  'interface.x': real('interface_x').notNull(),
  'interface.y': real('interface_y').notNull(),
  'adjust.lateral': real('adjust_lateral'),
  'adjust.height': real('adjust_height'),
  'adjust.depth': real('adjust_depth'),
  'adjust.roll': real('adjust_roll'),
  'needs.members': integer('needs_members').notNull(),
  'needs.rows': text('needs_rows', { mode: 'json' }).notNull(),
  'otherNeeds': text('other_needs', { mode: 'json' }),
  'depth.stowed': real('depth_stowed').notNull(),
  'depth.service': real('depth_service').notNull(),
  'lift': real('lift'),
  'sideClearance': real('side_clearance'),
  'orientations': text('orientations', { mode: 'json' }).notNull(),
  'maxCovering': real('max_covering'),
  'bracket': real('bracket'),
}, t => [uniqueIndex('mounts_id').on(t.parent, t.id)])

export const slots = sqliteTable('slots', {
  ...partOf(() => mounts.key),
  row: text('row').notNull(),
  y: real('y').notNull(),
  x1: real('x1').notNull(),
  x2: real('x2').notNull(),
  diameter: real('diameter').notNull(),
}, t => [index('slots_parent').on(t.parent)])

export const fasteners = sqliteTable('fasteners', {
  ...partOf(() => sites.key),
  'id': text('id').notNull(),
  'name': text('name'),
  'kind': text('kind').notNull(),
  'base': text('base').notNull(),
  'diameter': real('diameter').notNull(),
  'length': real('length').notNull(),
  'root': real('root'),
  'thread': real('thread'),
  'yield': real('yield'),
  'edgeDistance': real('edge_distance'),
  'minJointDistance': real('min_joint_distance'),
  'allowable.tension': real('allowable_tension'),
  'allowable.shear': real('allowable_shear'),
  'embedment': real('embedment'),
  'head': real('head'),
  'minThickness': real('min_thickness'),
  'criticalEdge': real('critical_edge'),
  'criticalSpacing': real('critical_spacing'),
  'minSpacing': real('min_spacing'),
  'edgeFactor': real('edge_factor'),
  'spacingFactor': real('spacing_factor'),
  'torque': real('torque'),
  'finish': text('finish'),
  'stock': integer('stock'),
}, t => [uniqueIndex('fasteners_id').on(t.parent, t.id)])

export const screwKits = sqliteTable('screw_kits', {
  ...partOf(() => sites.key),
  id: text('id').notNull(),
  name: text('name').notNull(),
  thread: real('thread').notNull(),
  lengths: text('lengths', { mode: 'json' }).notNull(),
  washers: text('washers', { mode: 'json' }).notNull(),
  spacers: text('spacers', { mode: 'json' }).notNull(),
}, t => [uniqueIndex('screw_kits_id').on(t.parent, t.id)])

export const walls = sqliteTable('walls', {
  ...partOf(() => sites.key),
  'version': integer('version').notNull().default(1),
  'savedAt': text('saved_at').notNull().default(''),
  'savedBy': text('saved_by').notNull().default(''),
  'id': text('id').notNull(),
  'name': text('name').notNull(),
  'width': real('width').notNull(),
  'height': real('height').notNull(),
  'structure.kind': text('structure_kind').notNull(),
  'structure.memberWidth': real('member_width'),
  'structure.memberDepth': real('member_depth'),
  'structure.spacing': real('member_spacing'),
  'structure.specificGravity': real('specific_gravity'),
  'structure.gauge': real('gauge'),
  'structure.steelStrength': real('steel_strength'),
  'structure.thickness': real('structure_thickness'),
  'structure.strength': real('concrete_strength'),
  'structure.block.length': real('block_length'),
  'structure.block.height': real('block_height'),
  'structure.block.joint': real('block_joint'),
  'structure.block.bond': text('block_bond'),
  'structure.block.unit': text('block_unit'),
  'structure.block.origin.x': real('block_origin_x'),
  'structure.block.origin.y': real('block_origin_y'),
  'datum.x': real('datum_x'),
  'datum.label': text('datum_label'),
  'levelLine': real('level_line'),
  'insulation': text('insulation'),
  'fireRating': real('fire_rating'),
  'linedIn': integer('lined_in'),
  'walkway': integer('walkway', { mode: 'boolean' }),
  'clearance': real('clearance'),
  'windSpeed': real('wind_speed'),
  'wet': integer('wet', { mode: 'boolean' }),
  'overrides': text('overrides', { mode: 'json' }),
  'alternatives': text('alternatives', { mode: 'json' }),
  'alternative': text('alternative'),
  'chosen': text('chosen'),
}, t => [uniqueIndex('walls_id').on(t.parent, t.id)])

export const layers = sqliteTable('layers', {
  ...partOf(() => walls.key),
  material: text('material').notNull(),
  thickness: real('thickness').notNull(),
  width: real('width'),
  spacing: real('spacing'),
  note: text('note'),
}, t => [index('layers_parent').on(t.parent)])

export const members = sqliteTable('members', {
  ...partOf(() => walls.key),
  centre: real('centre').notNull(),
  width: real('width').notNull(),
}, t => [index('members_parent').on(t.parent)])

export const references = sqliteTable('reference_lines', {
  ...partOf(() => walls.key),
  id: text('id').notNull(),
  front: real('front').notNull(),
  back: real('back').notNull(),
}, t => [uniqueIndex('reference_lines_id').on(t.parent, t.id)])

export const evidence = sqliteTable('evidence', {
  ...partOf(() => walls.key),
  id: text('id').notNull(),
  method: text('method').notNull(),
  x: real('x').notNull(),
  y: real('y').notNull(),
  side: text('side'),
  reference: text('reference'),
  edge: text('edge'),
  hit: integer('hit', { mode: 'boolean' }),
  dull: integer('dull', { mode: 'boolean' }),
  direction: text('direction'),
  by: text('by'),
  at: text('at'),
  note: text('note'),
  photo: text('photo'),
  setAside: text('set_aside'),
}, t => [uniqueIndex('evidence_id').on(t.parent, t.id)])

export const features = sqliteTable('features', {
  ...partOf(() => walls.key),
  id: text('id').notNull(),
  kind: text('kind').notNull(),
  x: real('x').notNull(),
  y: real('y').notNull(),
  width: real('width').notNull(),
  height: real('height').notNull(),
  keepReachable: integer('keep_reachable', { mode: 'boolean' }),
}, t => [uniqueIndex('features_id').on(t.parent, t.id)])

export const blocking = sqliteTable('blocking', {
  ...partOf(() => walls.key),
  id: text('id').notNull(),
  y: real('y').notNull(),
  found: integer('found', { mode: 'boolean' }).notNull(),
}, t => [uniqueIndex('blocking_id').on(t.parent, t.id)])

export const surface = sqliteTable('surface', {
  ...partOf(() => walls.key),
  x: real('x').notNull(),
  y: real('y').notNull(),
  distance: real('distance').notNull(),
}, t => [index('surface_parent').on(t.parent)])

export const arrays = sqliteTable('arrays', {
  ...partOf(() => walls.key),
  'id': text('id').notNull(),
  'name': text('name').notNull(),
  'display': text('display').notNull(),
  'mount': text('mount'),
  'fastener': text('fastener'),
  'rows': integer('rows').notNull(),
  'columns': integer('columns').notNull(),
  'orientation': text('orientation').notNull(),
  'gap.x': real('gap_x').notNull(),
  'gap.y': real('gap_y').notNull(),
  'at.x.edge': text('at_x_edge').notNull(),
  'at.x.value': real('at_x').notNull(),
  'at.y.edge': text('at_y_edge').notNull(),
  'at.y.value': real('at_y').notNull(),
  'follows.x.rule': text('follows_x'),
  'follows.x.features': text('follows_x_features', { mode: 'json' }),
  'follows.y.rule': text('follows_y'),
  'follows.y.value': real('follows_y_value'),
  'follows.y.feature': text('follows_y_feature'),
  'shiftTolerance.x': real('shift_tolerance_x'),
  'shiftTolerance.y': real('shift_tolerance_y'),
  'holes': text('holes', { mode: 'json' }),
  'carrier': text('carrier', { mode: 'json' }),
  'needs': text('needs', { mode: 'json' }),
  'behind': text('behind', { mode: 'json' }),
  'align': text('align'),
  'cells': text('cells', { mode: 'json' }),
  'screw': real('screw'),
  'spacer': real('spacer'),
}, t => [uniqueIndex('arrays_id').on(t.parent, t.id)])

export const plates = sqliteTable('plates', {
  ...partOf(() => arrays.key),
  row: integer('row').notNull(),
  column: integer('column').notNull(),
  lateralShift: real('lateral_shift'),
  heightShift: real('height_shift'),
  reason: text('reason'),
}, t => [index('plates_parent').on(t.parent)])

/** The firm's own catalogue, from which walls take models; each wall keeps those that it was planned with. */
export const models = sqliteTable('models', {
  key: integer('key').primaryKey({ autoIncrement: true }),
  version: integer('version').notNull().default(1),
  savedAt: text('saved_at').notNull(),
  savedBy: text('saved_by').notNull(),
  kind: text('kind').notNull(),
  id: text('id').notNull(),
  /** The model as the job file has it. */
  model: text('model', { mode: 'json' }).notNull(),
}, t => [uniqueIndex('models_id').on(t.kind, t.id)])

/** Only ever added to: triggers refuse any update or deletion. */
export const log = sqliteTable('log', {
  ...partOf(() => sites.key),
  id: text('id').notNull(),
  at: text('at').notNull(),
  by: text('by').notNull(),
  wall: text('wall').notNull(),
  kind: text('kind').notNull(),
  hole: text('hole').notNull(),
  x: real('x').notNull(),
  y: real('y').notNull(),
  result: text('result').notNull(),
  note: text('note'),
}, t => [uniqueIndex('log_id').on(t.parent, t.id), index('log_wall').on(t.parent, t.wall)])
