const BROWSERS: [RegExp, string][] = [[/Edg\//, 'Edge'], [/Firefox\//, 'Firefox'], [/Chrome\//, 'Chrome'], [/Safari\//, 'Safari']]
const SYSTEMS: [RegExp, string][] = [[/iPhone/, 'iPhone'], [/iPad/, 'iPad'], [/Android.*Mobile/, 'Android phone'], [/Android/, 'Android tablet'], [/Windows/, 'Windows'], [/Mac OS X/, 'Mac'], [/Linux/, 'Linux']]

/** What a browser says of itself, in words; as it came where it says nothing that is known. @example deviceWords('… iPhone; CPU … Safari/604.1') // 'Safari on iPhone' */
export function deviceWords(agent: string): string {
  const name = ([, word]: [RegExp, string]) => word
  const [browser, system] = [BROWSERS.find(([sign]) => sign.test(agent)), SYSTEMS.find(([sign]) => sign.test(agent))]
  return browser && system ? `${name(browser)} on ${name(system)}` : agent
}
