import type { Person } from '@sure-spool/contract'

export const people: Person[] = [
  { id: '019a0000-0000-7000-8000-0000000000a1', name: 'Ines Okafor-Lind', role: 'owner of the bench', access: 'owner' },
  { id: '019a0000-0000-7000-8000-0000000000a2', name: 'Tam Reyes-Holt', role: 'technician', access: 'technician' },
  { id: '019a0000-0000-7000-8000-0000000000a3', name: 'Wil Dace', role: 'learning', access: 'learner' },
]

/** A person's id by their first name. */
export function person(name: string): string {
  const found = people.find((one) => one.name.startsWith(name))
  if (!found) throw new Error(`Nobody called ${name}`)
  return found.id
}
