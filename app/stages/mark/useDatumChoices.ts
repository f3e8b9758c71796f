import { saidToday } from '~~/core/job'

/** A place on the wall that dimensions can run from. */
interface Place { value: string, label: string, x: number }

const OWN = 'own'
const JAMBS = new Set(['door', 'window'])

/**
 * Where dimensions can run from: an end of the wall, a jamb, a laser's cross on an array's centre line, a hole that is
 * made.
 */
export function useDatumChoices() {
  const store = useWallStore()
  const { plan, built } = useWallPlan()
  const places = computed((): Place[] => {
    const { wall } = store
    if (!wall) return []
    return [
      { value: 'left', label: 'left end of the wall', x: 0 },
      { value: 'right', label: 'right end of the wall', x: wall.width },
      ...(wall.features ?? [])
        .filter(({ kind }) => JAMBS.has(kind))
        .flatMap(({ id, kind, x, width }) => [
          { value: `left-${id}`, label: `left jamb of the ${kind} at ${Math.round(x)}`, x },
          { value: `right-${id}`, label: `right jamb of the ${kind} at ${Math.round(x)}`, x: x + width },
        ]),
      ...(plan.value?.arrays ?? []).map(({ id, name, outline }) => ({
        value: `laser-${id}`,
        label: `laser cross on the centre of ${name}`,
        x: outline.x + outline.width / 2,
      })),
      ...built.value.holes
        .filter(({ result }) => result === 'hit')
        .map(({ entry, hole, x }) => ({ value: `hole-${entry}`, label: `drilled hole ${hole}`, x })),
    ]
  })
  const chosen = computed(() => {
    const datum = store.wall?.datum
    if (!datum) return 'left'
    return (
      places.value.find(({ x, label }) => Math.abs(x - datum.x) < 1e-6 && label === saidToday(datum.label))?.value
      ?? OWN
    )
  })
  return {
    chosen,
    choices: computed(() =>
      [
        ...places.value,
        ...(chosen.value === OWN ? [{ value: OWN, label: saidToday(store.wall?.datum?.label ?? ''), x: 0 }] : []),
      ].map(({ value, label }) => ({ value, label })),
    ),
    choose: (value: string) => {
      const place = places.value.find(each => each.value === value)
      if (!place) return []
      return store.edit('Datum', (wall) => {
        if (value === 'left') delete wall.datum
        else wall.datum = { x: place.x, label: place.label }
      })
    },
  }
}
