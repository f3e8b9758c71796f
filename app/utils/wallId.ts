/** An id for a new wall made of its name: small letters, figures and hyphens, and not one that is taken. */
export function wallId(name: string, taken: string[]): string {
  const plain = name.normalize('NFD').replace(/[\u0300-\u036f]/g, '').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, 60) || 'wall'
  let id = plain
  for (let n = 2; taken.includes(id); n++) id = `${plain}-${n}`
  return id
}
