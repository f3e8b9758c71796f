/** Coming in: what is asked of the server, what it refuses, beside which field, and where one goes then. */
export function useAuthForm() {
  const route = useRoute()
  const fault = ref('')
  const faults = ref<Record<string, string>>({})
  const busy = ref(false)

  /** A page of ours; never one of another server, whatever the address says. */
  function wayOn(): string {
    const { to } = route.query
    return typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/'
  }

  /** Where one who says nothing of where to go lands: crew on their day, anyone else on the list of sites. */
  async function landing(): Promise<string> {
    const { person } = await api<{ person?: { role: string } }>('/session')
    return person?.role === 'crew' ? '/programme/day' : '/'
  }

  /**
   * Asks, and goes on where a person is signed in by it; begun anew, so that nothing of the previous person is left.
   */
  async function enter(path: string, body: unknown): Promise<unknown> {
    busy.value = true
    fault.value = ''
    faults.value = {}
    try {
      const answer = await api<{ signedIn?: boolean }>(path, { method: 'POST', body })
      if (answer.signedIn) location.assign(route.query.to === undefined ? await landing() : wayOn())
      return answer
    }
    catch (error) {
      const refused = error as ApiError
      faults.value = Object.fromEntries(
        (refused.faults ?? []).map(({ path, message }) => [path.slice(2), `It ${message}.`]),
      )
      if (Object.keys(faults.value).length === 0) fault.value = refused.message
      return undefined
    }
    finally {
      busy.value = false
    }
  }
  return { fault, faults, busy, enter, wayOn }
}
