import { isCounted, type Card, type Roles } from '@sure-spool/core'
import { capital } from './capital'
import type { Figures } from './figures'
import { pairLabel, terminalLabel } from './points'

/** What is known of one point or winding, by the readings alone. */
export interface RoleLine {
  name: string
  text: string
  /** of constructions side by side: this one is what the pins read as */
  fits?: boolean
}
export interface RoleWords {
  title: string
  lines: RoleLine[]
  foot?: string
}

type Of<Kind extends Roles['kind']> = Extract<Roles, { kind: Kind }>

/** What the readings say each terminal is, in the names a person sees on the part. */
export function roleWords(roles: Roles, card: Card, figures: Figures): RoleWords {
  switch (roles.kind) {
    case 'relay':
      return bladeWords(roles, card)
    case 'pins':
      return pinWords(roles, card, figures)
    case 'wires':
      return wireWords(roles, card, figures)
  }
}

function bladeWords(
  { coil, common, normallyClosed, normallyOpen, polarised, drive, backwards }: Of<'relay'>,
  card: Card,
): RoleWords {
  const line = (name: string, pair: [string, string] | undefined): RoleLine[] =>
    pair ? [{ name, text: pairLabel(card, pair) }] : []
  return {
    title: 'Its blades, by the readings',
    lines: [
      ...line('Coil', coil),
      ...(common === undefined ? [] : [{ name: 'Common', text: terminalLabel(card, common) }]),
      ...line('Normally closed', normallyClosed),
      ...line('Normally open', normallyOpen),
      ...(drive ? [{ name: 'Polarised', text: `plus on ${terminalLabel(card, drive.plus)} only` }] : []),
      ...(polarised === false ? [{ name: 'Polarised', text: 'no, it moves either way' }] : []),
      ...bladeMap(card, drive),
    ],
    ...(backwards ? { foot: 'A diode, backwards: turn the leads round. It says nothing against the coil.' } : {}),
  }
}

/** Which of the card's terminals each counted blade is, as far as the readings say. */
function bladeMap(card: Card, drive: Of<'relay'>['drive']): RoleLine[] {
  if (!isCounted(card)) return []
  const known = card.terminals.flatMap(({ id, label, aliases: [name] }) =>
    name === undefined ? [] : [`${label} = ${name}${drive?.plus === id ? ' (+)' : ''}`],
  )
  return known.length > 0 ? [{ name: 'Map', text: known.join(', ') }] : []
}

function pinWords({ pins, constructions }: Of<'pins'>, card: Card, figures: Figures): RoleWords {
  const name = (pin: 'a' | 'b' | 'c') => terminalLabel(card, pins[pin])
  const ohms = (value: number) => figures.bound(Number(value.toPrecision(3)))
  const lines = constructions.map((one): RoleLine => {
    switch (one.kind) {
      case 'split-phase': {
        const { common, main, auxiliary, mainOhms, auxiliaryOhms, residual, allowed } = one
        const title = 'Run and start winding'
        if (mainOhms === undefined || auxiliaryOhms === undefined || residual === undefined || allowed === undefined)
          return { name: title, text: 'no: a pair reads open', fits: false }
        const sums = `run ${ohms(mainOhms)}, start ${ohms(auxiliaryOhms)}; left over ${ohms(Math.abs(residual))}, at most ${ohms(allowed)}`
        const who =
          one.fits && common && main && auxiliary
            ? `common ${name(common)}, run ${name(main)}, start ${name(auxiliary)}: `
            : ''
        return { name: title, text: `${who}${sums}`, fits: one.fits }
      }
      case 'balanced': {
        const title = 'Three alike'
        if (one.apartPct === undefined || !one.windings)
          return { name: title, text: 'no: a pair reads open', fits: false }
        const apart = `${figures.plain(one.apartPct, 2)} % apart, at most ${one.allowedPct} %`
        const each = `; each ${ohms(one.windings.star)} as a star, ${ohms(one.windings.delta)} as a delta`
        return { name: title, text: `${apart}${one.fits ? each : ''}`, fits: one.fits }
      }
      case 'single':
        return {
          name: 'One winding and a free pin',
          text: one.finite === 1 ? 'one pair reads, the free pin to none' : `no: ${one.finite} of 3 pairs read`,
          fits: one.fits,
        }
    }
  })
  return {
    title: 'Which construction it could be',
    lines,
    foot: lines.some(({ fits }) => fits)
      ? 'A construction is no proof of health: one open winding turns one into another.'
      : impossible(constructions)
        ? 'The largest is more than the other two make together: no windings read so. Take all three again.'
        : 'None fits: a contact, or not one part.',
  }
}

/** Whatever lies between three points, the way over the third is never shorter than the way itself (resistance is a metric). */
const impossible = (constructions: Of<'pins'>['constructions']): boolean =>
  constructions.some(
    (one) => one.kind === 'split-phase' && one.residual !== undefined && -one.residual > (one.allowed ?? 0),
  )

function wireWords({ groups, alone }: Of<'wires'>, card: Card, figures: Figures): RoleWords {
  const names = (ids: string[]) => ids.map((id) => terminalLabel(card, id)).join(', ')
  return {
    title: 'Which wires belong together',
    lines: [
      ...groups.map(({ wires, ohms, winding, start, finish }): RoleLine => ({
        name: names(wires),
        text: [
          capital(card.windings.find(({ id }) => id === winding)?.label ?? 'one coil'),
          ohms === undefined ? '' : figures.bound(Number(ohms.toPrecision(4))),
          start === undefined || finish === undefined
            ? 'start and finish not told apart'
            : `start ${terminalLabel(card, start)}, finish ${terminalLabel(card, finish)}`,
        ]
          .filter((one) => one !== '')
          .join(', '),
      })),
      ...(alone.length > 0 ? [{ name: names(alone), text: 'to none of the others' }] : []),
    ],
  }
}
