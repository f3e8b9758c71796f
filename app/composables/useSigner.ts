/** Whose name goes with what is recorded: where there is none yet, the field for it is gone to and says why. */
export function useSigner(why: string) {
  const { name } = usePreferences()
  const id = useId()
  const fault = ref('')
  /** The name; undefined where it is still to be written. */
  function signed(): string | undefined {
    const by = name.value.trim()
    if (by) return by
    fault.value = why
    document.getElementById(id)?.focus()
    return undefined
  }
  return { name, nameId: id, fault, signed }
}
