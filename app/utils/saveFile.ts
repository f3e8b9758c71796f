/** Has the browser save a file under a name. */
export function saveFile(name: string, file: Blob): void {
  const href = URL.createObjectURL(file)
  Object.assign(document.createElement('a'), { href, download: name }).click()
  setTimeout(() => URL.revokeObjectURL(href), 60_000)
}

export const saveText = (name: string, text: string): void =>
  saveFile(name, new Blob([text], { type: 'text/plain;charset=utf-8' }))
