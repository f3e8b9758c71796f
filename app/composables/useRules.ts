import type { Rules } from '~~/core/job'

/** House rules of the firm or of a site as the server has them, and saving them on the version they were made from. */
export async function useRules<State extends { rules: Rules, version: number }>(read: string, save: string) {
  const state = shallowRef<State>()
  const failed = ref('')
  const says = ref('')
  try {
    state.value = await api<State>(read)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
  /** What somebody else saved in between is shown and not written over. */
  async function choose(rules: Rules) {
    says.value = ''
    try {
      state.value = { ...state.value!, ...await api<State>(save, { method: 'PUT', body: { rules, version: state.value!.version } }) }
      says.value = 'Saved. Every wall that has not chosen for itself is planned by it from now on.'
    }
    catch (error) {
      const refused = error as ApiError
      if (refused.code === 'stale') state.value = { ...state.value!, ...refused.current as State }
      says.value = [refused.message, ...refused.code === 'stale' ? ['What was saved is shown; choose again.'] : []].join(' ')
    }
  }
  return { state, failed, says, choose }
}
