import type { RewindRemark, RewindState } from '@sure-spool/core'
import { capital } from './capital'
import type { Figures } from './figures'
import { labelOf, layWords, mm, wireWords } from './rewind'

/** A remark on a rewind: what is so, and what to do. */
export function rewindRemarkWords(
  remark: RewindRemark,
  state: RewindState,
  figures: Figures,
): { what: string; todo: string } {
  const { params } = remark
  const name = labelOf(state, remark.coil)
  const at = (key: string) => Number(params[key] ?? 0)
  switch (remark.id) {
    case 'gauges-too-near': {
      const fits = state.coils.find(({ coil }) => coil.id === remark.coil)?.gauges.at(-1)?.fits ?? []
      return {
        what: `${mm(at('overallMm'), figures)} fits more than one wire: ${fits
          .slice(0, 4)
          .map((one) => wireWords(one, figures))
          .join('; ')}.`,
        todo: `Measure ${at('wanted')} strands side by side.`,
      }
    }
    case 'wire-unlike':
      return {
        what: `The plan takes ${String(params['is'])}, and ${name} was ${String(params['was'])}.`,
        todo: 'Another wire has other ohms a turn: is it meant?',
      }
    case 'wire-disagrees':
      return {
        what: `What came off is ${mm(Number(at('bareMm').toPrecision(3)), figures)} of copper by its ohms, length or mass, and the micrometer says none of that.`,
        todo: 'Measure both again. Film doubled, strands crossed or aluminium read so.',
      }
    case 'does-not-fit':
      return {
        what: `It builds to ${Math.round(100 * at('fill'))} % of the window.`,
        todo: `With this wire ${at('turns')} turns fill it: fewer turns, thinner wire, or tighter.`,
      }
    case 'just-fits':
      return {
        what: `It fills ${Math.round(100 * at('fill'))} % of the window: packed a little looser it does not fit.`,
        todo: `${at('turns')} turns fill it. Lay it close.`,
      }
    case 'out-of-phase':
      return {
        what: `${capital(name)} works against ${String(params['sister'])}: together they cancel, and no ohms show it.`,
        todo: 'Exchange the two ends of one of them, then touch again.',
      }
    case 'hum-adds':
      return {
        what: `${capital(name)} and ${String(params['sister'])} add, and with magnets alike they add the hum of mains as well.`,
        todo: 'Where the pair should be quiet, one has its magnet turned and is wound the other way.',
      }
    case 'odd-poles':
      return {
        what: `${at('poles')} poles in a ring: alternating, the last clashes with the first.`,
        todo: 'Count them again, or look how the original did it.',
      }
    case 'winder-direction':
      return { what: 'Which way the machine lays is not settled.', todo: 'One turn by hand, look, say.' }
    case 'laid-alike':
      return {
        what: `${capital(name)} is laid ${layWords[params['lay'] as 'cw' | 'ccw']}, and ${layWords[params['wanted'] as 'cw' | 'ccw']} was due: it works against its neighbours, and no ohms show it.`,
        todo: 'Unwind it and lay it the other way; or join finish to finish there, as the sheet then says.',
      }
    case 'turns-off':
      return {
        what: `${capital(name)} has ${at('turns')} turns, planned were ${at('planned')}.`,
        todo: 'Counted right? It stands on the sheet.',
      }
    case 'ground-beeps':
      return {
        what: `The live ground beeped on ${name} at turn ${at('turns')}.`,
        todo: 'Find the place and mend it before the next turn; then say mended.',
      }
    case 'ends-outside':
      return {
        what: `Going on so it ends at ${figures.bound(Number(at('ohms20').toPrecision(3)))}, outside the plan.`,
        todo:
          at('stopAt') > 0
            ? `For the planned ohms stop at ${at('stopAt')} turns.`
            : 'Look at the wire and the packing.',
      }
  }
}
