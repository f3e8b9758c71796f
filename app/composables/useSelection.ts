import { isSame, type Subject, type SubjectKind } from '~~/core/subject'

/** What is pointed at and what is chosen on the drawing, in a list or in a finding. */
export function useSelection() {
  const hovered = useScreenState<Subject | undefined>('hovered', () => undefined)
  const selected = useScreenState<Subject | undefined>('selected', () => undefined)
  return {
    hovered,
    selected,
    /** The id of what is chosen, if it is of this kind. */
    selectedOf: (kind: SubjectKind) => selected.value?.kind === kind ? selected.value.id : undefined,
    isSelected: (subject: Subject | undefined) => isSame(subject, selected.value),
    isLit: (subject: Subject | undefined) => isSame(subject, hovered.value) || isSame(subject, selected.value),
    select: (kind: SubjectKind, id: string) => { selected.value = { kind, id } },
    hover: (kind: SubjectKind, id: string) => { hovered.value = { kind, id } },
    leave: () => { hovered.value = undefined },
    clear: () => { selected.value = undefined },
  }
}
