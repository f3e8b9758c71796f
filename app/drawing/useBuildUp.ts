import { structureKindOf, unitsOf, type Base, type Wall } from '~~/core/job'

const HATCHES: Record<string, string> = {
  'gypsum-board': 'hatch-board', 'plaster': 'hatch-board', 'render': 'hatch-concrete', 'cement-board': 'hatch-board',
  'lath-plaster': 'hatch-board', 'plywood': 'hatch-wood', 'osb': 'hatch-wood', 'steel-plate': 'hatch-steel',
  'furring': 'hatch-wood',
  'tile': 'hatch-tile', 'stone': 'hatch-tile', 'insulation': 'hatch-soft', 'void': 'hatch-void',
}

/** How deep a structure is drawn whose depth is not known, mm. */
const USUAL_DEPTH = 100

/** How each kind of structure is hatched where it is cut. */
export const STRUCTURE_HATCHES: Record<Base, string> = {
  'wood-stud': 'hatch-wood', 'steel-stud': 'hatch-steel',
  'block': 'hatch-block', 'brick': 'hatch-block', 'concrete': 'hatch-concrete',
  'plywood': 'hatch-wood', 'osb': 'hatch-wood', 'steel-plate': 'hatch-steel',
}

/** The wall's layers in depth: how deep the structure is, and where each layer lies before it, mm from the back. */
export function useBuildUp(wall: () => Wall | undefined) {
  const core = computed(() => {
    const structure = wall()?.structure
    if (!structure) return USUAL_DEPTH
    // What was entered of studs stays when the structure becomes another.
    const entered = structureKindOf(structure).framed ? structure.memberDepth : structure.thickness
    return entered ?? unitsOf(structure)?.height ?? USUAL_DEPTH
  })
  const layers = computed(() => {
    let at = core.value
    return (wall()?.covering ?? []).map((layer) => {
      const from = at
      at += layer.thickness
      return { ...layer, from, hatch: HATCHES[layer.material] ?? 'hatch-board' }
    })
  })
  const face = computed(() => layers.value.reduce((sum, { thickness }) => sum + thickness, core.value))
  return { core, layers, face }
}
