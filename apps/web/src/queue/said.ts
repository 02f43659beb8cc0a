import type { QueueUnit } from '@sure-spool/contract'
import { complaintWords, familyWords } from '../words/kinds'

type Kind = keyof typeof familyWords

/** What kind of part it is. */
export const familySaid = ({ family }: Pick<QueueUnit, 'family'>): string => familyWords[family as Kind] ?? family

/** The complaint in the owner's own words, or in ours where they said none. */
export const complaintSaid = ({ words, complaint }: Pick<QueueUnit, 'words' | 'complaint'>): string =>
  words !== '' ? `“${words}”` : complaint.map((one) => complaintWords[one]).join(', ')

const dayMs = 86_400_000

/** How long a part has been here, in days or weeks. */
export function ageSaid({ takenInAt }: Pick<QueueUnit, 'takenInAt'>, now = Date.now()): string {
  const days = Math.floor((now - Date.parse(takenInAt)) / dayMs)
  if (days < 1) return 'in today'
  return days < 21 ? `here ${days} ${days === 1 ? 'day' : 'days'}` : `here ${Math.round(days / 7)} weeks`
}
