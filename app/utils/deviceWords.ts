/**
 * What kind of device a browser says that it is on; as it came where it says nothing of that. @example
 * deviceWords('Mozilla/5.0 (Mobile; rv:140.0)') // 'Phone'
 */
export function deviceWords(agent: string): string {
  if (/tablet/i.test(agent)) return 'Tablet'
  if (/mobi/i.test(agent)) return 'Phone'
  return agent.startsWith('Mozilla/') ? 'Computer' : agent
}
