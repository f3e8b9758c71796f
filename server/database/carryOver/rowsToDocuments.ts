import type SQLite from 'better-sqlite3'
import { modelsUsedBy } from '../../../core/catalogue'
import type { Job, Wall } from '../../../core/job'
import { broughtUpToDate } from '../../../core/job/earlier'
import { chained, EMPTY_CHAIN } from '../../../core/log'

type Part = Record<string, unknown>

/** A table that held a list of the job file: its columns, and the tables of the lists in it by their paths. */
interface Earlier { table: string, columns: string, lists?: Record<string, Earlier> }

/*
 * The job file as it was kept in rows. A column is written as its name and, where that is another, its path in the
 * file; `?` for true or false, `{}` for JSON. What had no column stood in `extra`.
 */
const WALLS: Earlier = {
  table: 'earlier_walls',
  columns: `id name width height structure_kind:structure.kind member_width:structure.memberWidth `
    + `member_depth:structure.memberDepth
    member_spacing:structure.spacing specific_gravity:structure.specificGravity gauge:structure.gauge `
    + `steel_strength:structure.steelStrength
    structure_thickness:structure.thickness concrete_strength:structure.strength block_length:structure.block.length
    block_height:structure.block.height block_joint:structure.block.joint block_bond:structure.block.bond `
    + `block_unit:structure.block.unit
    block_origin_x:structure.block.origin.x block_origin_y:structure.block.origin.y datum_x:datum.x `
    + `datum_label:datum.label
    level_line:levelLine insulation fire_rating:fireRating lined_in:linedIn walkway? clearance wind_speed:windSpeed `
    + `wet? overrides{}
    alternatives{} alternative chosen`,
  lists: {
    'covering': { table: 'layers', columns: 'material thickness width spacing note' },
    'structure.members': { table: 'members', columns: 'centre width' },
    'references': { table: 'reference_lines', columns: 'id front back' },
    'evidence': {
      table: 'evidence',
      columns: 'id method x y side reference edge hit? dull? direction by at note photo set_aside:setAside',
    },
    'features': { table: 'features', columns: 'id kind x y width height keep_reachable:keepReachable?' },
    'blocking': { table: 'blocking', columns: 'id y found?' },
    'surface': { table: 'surface', columns: 'x y distance' },
    'arrays': {
      table: 'arrays',
      columns: `id name display mount fastener rows columns orientation gap_x:gap.x gap_y:gap.y at_x_edge:at.x.edge `
        + `at_x:at.x.value
        at_y_edge:at.y.edge at_y:at.y.value follows_x:follows.x.rule follows_x_features:follows.x.features{} `
        + `follows_y:follows.y.rule
        follows_y_value:follows.y.value follows_y_feature:follows.y.feature shift_tolerance_x:shiftTolerance.x
        shift_tolerance_y:shiftTolerance.y holes{} carrier{} needs{} behind{} align cells{} screw spacer`,
      lists: {
        plates: { table: 'plates', columns: 'row column lateral_shift:lateralShift height_shift:heightShift reason' },
      },
    },
  },
}
const SITES: Earlier = {
  table: 'earlier_sites',
  columns: `id:site.id name:site.name units:site.units height_datum:rules.heightDatum `
    + `hollow_wall_anchors:rules.hollowWallAnchors
    proof_of_framing:rules.proofOfFraming covering_counts_as_gap:rules.coveringCountsAsGap? `
    + `block_joints:rules.blockJoints
    furring:rules.furring marking_sigma:rules.markingSigma`,
  lists: {
    'catalogue.displays': {
      table: 'displays',
      columns: `id name width height depth mass bezel_top:bezel.top bezel_right:bezel.right bezel_bottom:bezel.bottom `
        + `bezel_left:bezel.left
        resolution_x:resolution.x resolution_y:resolution.y vesa_width:vesa.width vesa_height:vesa.height `
        + `vesa_offset_x:vesa.offset.x
        vesa_offset_y:vesa.offset.y vesa_thread:vesa.thread vesa_insert_depth:vesa.insertDepth vesa_recess:vesa.recess
        power_typical:power.typical power_max:power.max size_tolerance:sizeTolerance`,
    },
    'catalogue.mounts': {
      table: 'mounts',
      columns: `id name kind mass capacity plate_width:plate.width plate_height:plate.height `
        + `plate_thickness:plate.thickness
        interface_x:interface.x interface_y:interface.y adjust_lateral:adjust.lateral adjust_height:adjust.height `
        + `adjust_depth:adjust.depth
        adjust_roll:adjust.roll needs_members:needs.members needs_rows:needs.rows{} other_needs:otherNeeds{} `
        + `depth_stowed:depth.stowed
        depth_service:depth.service lift side_clearance:sideClearance orientations{} max_covering:maxCovering bracket`,
      lists: { 'plate.slots': { table: 'slots', columns: 'row y x1 x2 diameter' } },
    },
    'catalogue.fasteners': {
      table: 'fasteners',
      columns: `id name kind base diameter length root thread yield edge_distance:edgeDistance `
        + `min_joint_distance:minJointDistance
        allowable_tension:allowable.tension allowable_shear:allowable.shear embedment head min_thickness:minThickness
        critical_edge:criticalEdge critical_spacing:criticalSpacing min_spacing:minSpacing edge_factor:edgeFactor
        spacing_factor:spacingFactor torque finish stock`,
    },
    'catalogue.screwKits': { table: 'screw_kits', columns: 'id name thread lengths{} washers{} spacers{}' },
    'walls': WALLS,
    'log': { table: 'earlier_log', columns: 'id at by wall kind hole x y result note' },
  },
}

const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null && !Array.isArray(value)

function put(part: Part, path: string, value: unknown): void {
  const keys = path.split('.')
  let inner = part
  for (const key of keys.slice(0, -1)) inner = (isPart(inner[key]) ? inner[key] : inner[key] = {}) as Part
  inner[keys.at(-1)!] = value
}

/** Column, path and how the value is read: `set_aside:setAside`, `walkway?`, `needs_rows:needs.rows{}`. */
const columnsOf = ({ columns }: Earlier) => columns.split(/\s+/).map((written) => {
  const [, column, path = column, kind] = /^([a-z0-9_]+)(?::([A-Za-z0-9.]+))?(\?|\{\})?$/.exec(written)!
  return {
    column: column!,
    path: path!,
    read:
      kind === '?'
        ? Boolean
        : kind === '{}'
          ? (text: unknown) => JSON.parse(text as string) as unknown
          : (value: unknown) => value,
  }
})

/** The rows of a table, each as its part of the job file with all its lists. */
function read(sqlite: SQLite.Database, earlier: Earlier, parent?: number): { part: Part, row: Part }[] {
  const columns = columnsOf(earlier)
  const rows = sqlite
    .prepare(`SELECT * FROM ${earlier.table} ${parent === undefined ? '' : 'WHERE parent = ?'} ORDER BY key`)
    .all(...(parent === undefined ? [] : [parent])) as Part[]
  return rows.map((row) => {
    const part = row.extra === null ? {} : JSON.parse(row.extra as string) as Part
    for (const { column, path, read } of columns) if (row[column] !== null) put(part, path, read(row[column]))
    for (const [path, list] of Object.entries(earlier.lists ?? {})) {
      const items = read(sqlite, list, row.key as number)
      if (items.length > 0) put(part, path, items.map(({ part }) => part))
    }
    return { part, row }
  })
}

/** What of a model was in stock becomes the beginning of its ledger. */
function stockToLedger(sqlite: SQLite.Database): void {
  const begin = sqlite.prepare('INSERT INTO stock (kind, model, change, at, by, note) VALUES (?, ?, ?, ?, ?, ?)')
  const keep = sqlite.prepare('UPDATE models SET model = ? WHERE key = ?')
  for (const row of sqlite.prepare('SELECT * FROM models ORDER BY key').all() as {
    key: number
    kind: string
    id: string
    model: string
    saved_at: string
    saved_by: string
  }[]) {
    const { stock, ...model } = JSON.parse(row.model) as Part
    if (stock === undefined) continue
    begin.run(row.kind, row.id, stock, row.saved_at, row.saved_by, 'As the catalogue had it')
    keep.run(JSON.stringify(model), row.key)
  }
}

/** Puts sites, walls and log, which were kept in rows of many tables, into documents; the log gets its chain. */
export function rowsToDocuments(sqlite: SQLite.Database): void {
  stockToLedger(sqlite)
  const insert = {
    site: sqlite.prepare('INSERT INTO sites (key, version, id, name, units, document) VALUES (?, ?, ?, ?, ?, ?)'),
    wall: sqlite.prepare('INSERT INTO walls (site, id, name, width, height, structure, version, saved_at, saved_by, '
      + 'document) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)'),
    model: sqlite.prepare('INSERT INTO wall_models (wall, kind, model) VALUES (?, ?, ?)'),
    entry: sqlite.prepare('INSERT INTO log (site, seq, id, wall, kind, hash, entry) VALUES (?, ?, ?, ?, ?, ?, ?)'),
  }
  for (const { part, row } of read(sqlite, SITES)) {
    const saved = sqlite.prepare('SELECT version, saved_at, saved_by FROM earlier_walls WHERE parent = ? ORDER BY '
      + 'key').all(row.key) as { version: number, saved_at: string, saved_by: string }[]
    const { walls, log, ...document } = broughtUpToDate({ rules: {}, walls: [], log: [], ...part }).job as Job
    const { site } = document
    insert.site.run(row.key, row.version, site.id, site.name, site.units, JSON.stringify(document))
    walls.forEach((part, n) => {
      const wall: Wall = { ...part, covering: part.covering ?? [], arrays: part.arrays ?? [] }
      const { version, saved_at, saved_by } = saved[n]!
      const { lastInsertRowid } = insert.wall.run(
        row.key,
        wall.id,
        wall.name,
        wall.width,
        wall.height,
        wall.structure.kind,
        version,
        saved_at,
        saved_by,
        JSON.stringify(wall),
      )
      for (const { kind, id } of modelsUsedBy(wall)) insert.model.run(lastInsertRowid, kind, id)
    })
    // When the server had these entries was not kept, so it is left out.
    let end = EMPTY_CHAIN
    for (const given of log) {
      const entry = chained(given, end)
      insert.entry.run(row.key, entry.seq, entry.id, entry.wall, entry.kind, entry.hash, JSON.stringify(entry))
      end = { seq: entry.seq!, hash: entry.hash! }
    }
  }
  for (const table of [
    'plates',
    'arrays',
    'surface',
    'blocking',
    'features',
    'evidence',
    'reference_lines',
    'members',
    'layers',
    'slots',
    'displays',
    'mounts',
    'fasteners',
    'screw_kits',
    'earlier_log',
    'earlier_walls',
    'earlier_sites',
  ])
    sqlite.exec(`DROP TABLE ${table}`)
}
