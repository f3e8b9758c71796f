/**
 * A form over values that may change while it is filled in: what was typed stays until `clear`,
 * the rest follows what is known.
 */
export function useDraftForm<T extends Record<string, string>>(known: () => T) {
  const typed = ref<Partial<T>>({}) as Ref<Partial<T>>
  const fields = Object.keys(known()).map((key: keyof T) => [key, computed({
    get: () => typed.value[key] ?? known()[key],
    set: (text) => { typed.value = { ...typed.value, [key]: text } },
  })])
  const form = reactive(Object.fromEntries(fields)) as T
  return { form, clear: () => { typed.value = {} } }
}
