import type { UnitPlace } from '@sure-spool/contract'
import type { ComplaintId, History, LookId } from '@sure-spool/core'
import type { Script } from '@sure-spool/core/testing'

/** One unit of the demo shop and what was done with it. All of it is made up. */
export interface Story {
  tag: string
  card: string
  serial?: string
  history: History
  complaint: ComplaintId[]
  words: string
  from: string
  place: UnitPlace
  blockedBy?: string
  takenIn: string
  by: 'Ines' | 'Tam' | 'Wil'
  worker?: 'Ines' | 'Tam' | 'Wil'
  startedAt?: string
  work?: (bench: Script) => void
  /** a later run of the same unit, compared with the first */
  again?: { startedAt: string; worker: 'Ines' | 'Tam' | 'Wil'; rewound?: true; work: (bench: Script) => void }
  /** stories with the same name of a tray were taken in together */
  tray?: string
}

export const twin = '18 twin'
export const single = '9 single'
export const charging = '60 charging stator'
export const coil = '40 twin-tower coil'
export const source = '25 source and trigger coils'
export const clips = { contact: 'clips' } as const
export const bench = { instrument: 'b1', contact: 'clips' } as const
export const lastResort = 'Output at speed could not be measured here.'

export const looked = (script: Script, what: LookId[], words?: string): Script =>
  script.put({
    kind: 'look',
    check: 'look',
    place: 'coils, leads and plug',
    what,
    ...(words === undefined ? {} : { words }),
  })

export function safe(script: Script): Script {
  for (const caution of script.run.card.care.cautions.filter(
    (one) => one !== 'running-engine' && one !== 'hot-exhaust',
  ))
    script.put({ kind: 'caution', caution })
  return script
}
export const looked18 = (script: Script) => safe(looked(script, ['sound']))
export const plain = (script: Script) => safe(script.put({ kind: 'look', place: 'the part', what: ['sound'] }))
