import type { RoutePlan } from '~~/core/wire'

/** Parts of the wiring, each with a bench panel of its own. */
export const WIRE_PANELS = [
  { id: 'power', title: 'Power' },
  { id: 'boxes', title: 'Boxes' },
  { id: 'routes', title: 'Routes' },
  { id: 'schedule', title: 'Schedule' },
] as const
export type WirePanel = typeof WIRE_PANELS[number]['id']

/** Which part of the wiring is worked on, which route and which leg of it, and where a line is said to have stopped. */
export function useWire() {
  const { plan } = useWallPlan()
  const { selectedOf } = useSelection()
  const routes = computed<RoutePlan[]>(() => plan.value?.wiring.routes ?? [])
  const route = computed(
    () =>
      routes.value.find(({ id }) => id === selectedOf('route'))
      ?? routes.value.find(({ to }) => to === selectedOf('box'))
      ?? routes.value[0],
  )
  const labelOf = computed(() => new Map(plan.value?.wiring.loads.map(({ screen, label }) => [screen, label])))
  const labels = (screens: string[]) => screens.map(screen => labelOf.value.get(screen) ?? screen).join(', ')
  const boxOf = (id: string) => plan.value?.wiring.boxes.find(box => box.id === id)
  return {
    panel: useScreenState<WirePanel>('wire-panel', () => 'power'),
    /** Whether the circuits are drawn as one-line diagrams in place of the wall. */
    oneLine: useScreenState<boolean>('wire-one-line', () => false),
    /** Which leg of the route is followed, from 0. */
    leg: useScreenState<number>('wire-leg', () => 0),
    /** Whether a hand on the drawing tells where a line stopped, and how high it said so last. */
    stopping: useScreenState<boolean>('wire-stopping', () => false),
    stoppedAt: useScreenState<number | undefined>('wire-stopped-at', () => undefined),
    routes, route, labels, boxOf,
    /** What a route is called: the screens that its box serves, and what it brings. */
    routeName: ({ to, kind }: RoutePlan) => `${labels(boxOf(to)?.for ?? [])} ${kind}`,
  }
}
