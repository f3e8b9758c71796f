import { rowsOf, subjectOf } from '~~/core/mark'
import { keyOf, type Subject } from '~~/core/subject'

/** What runs along the tape, mm on the wall, and what it is called. */
export interface Tape { label: string, points: { subject: Subject, x: number, doubtful?: boolean }[] }

/**
 * The tape along the members, and along the row of holes that is looked at; along the members where there is no hole.
 */
export function useTape(current: () => string = () => '') {
  const { plan, drawn, findings } = useWallPlan()
  const { pieces } = usePiece()
  const { selectedOf } = useSelection()
  const rows = computed(() => rowsOf(plan.value?.marking.marks ?? []))
  const row = computed(
    () =>
      rows.value.find(({ marks }) => marks.some(({ id }) => id === selectedOf('hole') || id === current()))
      ?? rows.value[0],
  )
  const stopped = computed(
    () => new Set(findings.value.filter(({ severity }) => severity === 'stop').map(({ subject }) => keyOf(subject))),
  )
  const members = computed<Tape>(() => ({
    label: drawn.value?.members.length ? pieces.value : 'wall',
    points: (drawn.value?.members ?? []).map(({ id, centre }) => ({ subject: { kind: 'member', id }, x: centre })),
  }))
  const holes = computed<Tape>(() => {
    if (!row.value || !plan.value) return members.value
    const { datum } = plan.value.marking
    return {
      label: `${row.value.label} holes`,
      points: row.value.marks.map(mark => ({
        subject: subjectOf(mark),
        x: mark.running + datum.x,
        doubtful: stopped.value.has(keyOf(subjectOf(mark))),
      })),
    }
  })
  return { members, holes }
}
