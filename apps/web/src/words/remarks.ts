import type { Card, Firing, Remark } from '@sure-spool/core'
import { checkLabel, checkPoints } from './points'
import type { Figures } from './figures'

export interface RemarkWords {
  /** what is the matter, with its figures */
  what: string
  /** what to do about it */
  todo: string
}

type Params = Remark['params']
const number = (params: Params, key: string): number => Number(params[key] ?? 0)
const text = (params: Params, key: string): string => String(params[key] ?? '')

/** A remark in the trade's plain words: one sentence of what, one of what to do. */
export function remarkWords(
  remark: Pick<Remark, 'id' | 'params'> & Partial<Firing>,
  card: Card,
  figures: Figures,
): RemarkWords {
  const { params } = remark
  const ohms = (key: string) => figures.bound(number(params, key))
  const pair = (key: string) => checkPoints(card, text(params, key))
  switch (remark.id) {
    case 'over-on-low-range':
      return {
        what: `Over range here proves only more than ${ohms('bound')}.`,
        todo:
          'goTo' in params
            ? `Go to ${ohms('goTo')} before calling it open.`
            : 'Use a higher range before calling it open.',
      }
    case 'near-full-scale':
      return {
        what: `Close to the end of the ${ohms('range')} range.`,
        todo: 'A slightly larger part would have read open; take the next range.',
      }
    case 'meter-cannot':
      return {
        what: `The limits are ${ohms('window')} apart and this meter is good to ±${figures.expanded(number(params, 'u'))}.`,
        todo: 'No reading on it can settle this: use four wires or a finer meter.',
      }
    case 'coarse-range':
      return { what: `Few digits on the ${ohms('range')} range.`, todo: `Drop to ${ohms('goTo')} for more.` }
    case 'one-or-over':
      return { what: 'A bare 1 on this meter is its over-range sign.', todo: 'Over range, or one ohm?' }
    case 'zero-or-open':
      return { what: 'Zero is joined, over range is no path.', todo: 'Which does the meter show?' }
    case 'prefix-jump':
      return {
        what: `k, M or G? As typed it is ${figures.plain(number(params, 'times'), 2)} times what is expected (${ohms('expected')}).`,
        todo: 'Look at the meter’s prefix again.',
      }
    case 'prefix-decides':
      return { what: 'k, M or G? The prefix decides this one.', todo: 'Look at the meter’s prefix again.' }
    case 'milli-or-mega':
      return { what: 'A small m is milli.', todo: 'Milli or mega?' }
    case 'negative':
      return 'net' in params
        ? { what: 'Less than the leads alone: the zero is stale.', todo: 'Zero the leads again and take it again.' }
        : { what: 'The leads are reversed; only the size counts.', todo: 'Nothing to do.' }
    case 'fits-another':
      return {
        what: `That reads like ${checkLabel(card, text(params, 'other'))} (${pair('other')}).`,
        todo: 'Is the probe on the right pair?',
      }
    case 'same-as-last':
      return { what: `The same figure as ${pair('last')}, where another was expected.`, todo: 'Did the clip move?' }
    case 'not-isolated':
      return {
        what: 'Something in parallel may be measured too.',
        todo: 'Take the part loose or unplug it, or enter what is in parallel.',
      }
    case 'leads-matter':
      return { what: `The leads (about ${ohms('leads')}) decide this one.`, todo: 'Zero them first.' }
    case 'stale-zero':
      return {
        what:
          params['why'] === 'age'
            ? `The zero is ${number(params, 'minutes')} minutes old.`
            : params['why'] === 'drift'
              ? 'The zero has moved since.'
              : 'The leads or the jack were changed since the zero.',
        todo: 'Zero the leads again.',
      }
    case 'reads-like-leads':
      return { what: 'That may be your leads alone.', todo: 'Look where the tips are, and take it again.' }
    case 'meter-unproved':
      return { what: 'A dead meter reads open too.', todo: 'Touch the tips together and see it fall.' }
    case 'frame-unproved':
      return {
        what: 'Paint and oxide read open too.',
        todo: 'Prove the frame contact: both tips on the same bare metal.',
      }
    case 'temperature-decides':
      return {
        what: `Ten degrees Celsius either way would turn this (taken at ${figures.temperature(number(params, 'assumed'))}, not measured on the part).`,
        todo: 'Measure the part, or let it rest.',
      }
    case 'not-settled':
      return { what: 'Kept before it had settled.', todo: 'Keep holding, and take it again.' }
    case 'unsteady':
      return { what: 'It moves while it is held.', todo: 'Clip on and repeat: contact or part?' }
    case 'repeats-apart':
      return {
        what: `The two readings are apart: ${ohms('before')}, then ${ohms('value')}.`,
        todo: 'Clean the contact and repeat.',
      }
    case 'beyond-physics':
      return {
        what: `${pair('part')} (${ohms('value')}) reads more than ${pair('whole')} (${ohms('of')}) that it is part of.`,
        todo: 'Not possible: type it again or measure it again.',
      }
    case 'condition-missing':
      return { what: `The figure means nothing without its ${text(params, 'condition')}.`, todo: 'Enter it.' }
    case 'sum-off': {
      const likely = pair('likely')
      return {
        what: `Parts add to ${ohms('parts')}, ${pair('wholeCheck')} reads ${ohms('whole')}.`,
        todo:
          number(params, 'residual') > 0
            ? `${capital(likely)} was likely read high.`
            : `${capital(likely)} was likely read high, or a part was read on another pair.`,
      }
    }
    case 'one-open-of-three':
      return {
        what: `Two of three joined pairs read, and ${pair('open')} is open.`,
        todo: 'Not possible: a contact. Take it again.',
      }
    case 'open-adds-nothing':
      return {
        what: `${capital(pair('open'))} is open, so ${pair('whole')} must be too.`,
        todo: 'The series reading adds no second place.',
      }
    case 'shared-resistance':
      return {
        what: `${ohms('ohms')} sits in the shared lead or its contact.`,
        todo: 'Clean the shared pin, clip on and read both again.',
      }
    case 'sister-ratio':
      return {
        what: `Two coils on one core, and their ratio is ${figures.plain(number(params, 'ratio'), 3)} where the card says ${figures.plain(number(params, 'stated'), 3)}.`,
        todo: `Temperature moves both alike, so ${pair('odd')} is out.`,
      }
    case 'at-limit':
      return params['by'] === 'meter'
        ? {
            what: 'Within the meter’s own uncertainty of a limit.',
            todo: 'Undecidable with this meter: more digits, or four wires.',
          }
        : { what: 'Only the temperature’s uncertainty reaches the limit.', todo: 'Measure the part’s temperature.' }
    case 'leak-over-break':
      return { what: `${ohms('value')} on a winding is leakage over a break.`, todo: 'Call it open.' }
    case 'ground-ceiling':
      return { what: 'This test sees hard shorts only.', todo: 'It says nothing of the insulation.' }
    case 'windings-untested': {
      const words = (key: string) =>
        text(params, key)
          .split(' ')
          .filter((id) => id !== '')
          .map((id) => card.terminals.find((terminal) => terminal.id === id)?.label ?? id)
      const groups = words('groups')
      const pins = words('pins')
      return {
        what: [
          groups.length > 0 ? `Not tested to frame: ${groups.join(', ')}.` : '',
          pins.length > 0 ? `Not read at all: ${pins.join(', ')}.` : '',
        ]
          .filter((one) => one !== '')
          .join(' '),
        todo: 'Test them, or say why not.',
      }
    }
    case 'static-only':
      return {
        what: 'Shorted turns can hide from ohms on this kind of part.',
        todo: 'Measure output at speed, or swap in a known good one.',
      }
    case 'flex-the-lead':
      return {
        what: 'The complaint comes and goes, and no lead was flexed.',
        todo: 'Test each lead to frame while you bend it.',
      }
    case 'unit-missing':
      return { what: 'No prefix was typed, and insulation is read in k, M or G.', todo: 'Which does the tester show?' }
    case 'poor-leads':
      return { what: `The leads read ${ohms('ohms')}: they or their clips are poor.`, todo: 'Clean or change them.' }
    case 'jack-after-amps':
      return { what: 'The meter was just used for amperes.', todo: 'Move the lead back to the ohm jack first.' }
    case 'part-warm':
      return {
        what: `The part was worked on or driven ${number(params, 'minutes')} minutes ago, and ohms rise with warmth.`,
        todo: 'Let it cool, or take its temperature.',
      }
    case 'meters-disagree':
      return {
        what: `${text(params, 'meter')} read ${ohms('other')} here, this one ${ohms('value')}: more than both may be off.`,
        todo: 'Compare their zeros.',
      }
    case 'low-by-a-little':
      return {
        what: `${figures.plain(number(params, 'percent'), 2)} % under its limits, and nobody took the part’s temperature.`,
        todo: 'Cold, or shorted turns? The ratio to its sister decides.',
      }
    case 'expected-current': {
      const off = figures.plain(Math.abs(number(params, 'percent')), 2)
      return number(params, 'percent') < 0
        ? {
            what: `Draws ${off} % less than volts over ohms.`,
            todo: `An extra ${ohms('ohms')}, a winding at ${figures.temperature(number(params, 'celsius'))}, or a supply that sagged: take the volts while it is on.`,
          }
        : {
            what: `Draws ${off} % more than volts over ohms.`,
            todo: 'Shorted turns, a colder winding, or more volts than entered.',
          }
    }
    case 'supply-unloaded':
      return {
        what: `Judged with ${figures.plain(number(params, 'volts'), 3)} V of a supply that was not loaded.`,
        todo: 'Enter the volts while it is on.',
      }
    case 'tests-disagree':
      return {
        what: `${capital(checkLabel(card, text(params, 'one')))} and ${checkLabel(card, text(params, 'stronger'))} say different things.`,
        todo: `One was not what it seemed; ${checkLabel(card, text(params, 'stronger'))} is the stronger.`,
      }
    case 'no-floor':
      return {
        what: `${capital(checkLabel(card, text(params, 'check')))} has no minimum.`,
        todo: 'A short would pass: give one.',
      }
    case 'limits-conflict':
      return {
        what: `Limits of ${checkLabel(card, text(params, 'check'))} contradict: ${text(params, 'one')} against ${text(params, 'other')}.`,
        todo: 'No part could meet both; look at the sources.',
      }
    case 'kind-unset':
      return { what: 'The construction decides what three figures mean.', todo: 'Choose it on the card first.' }
    case 'twins-both-off':
      return {
        what: 'The twins are alike, and both are off the card or an estimate.',
        todo: 'Alike is not proved right.',
      }
    case 'high-is-not-shorted':
      return { what: 'Shorted turns lower resistance, and this reads high.', todo: 'Look for a break or a joint.' }
    case 'ac-on-open':
      return { what: `${capital(pair('check'))} reads open.`, todo: 'Do not judge its inductance or capacitance.' }
    case 'ground-side':
      return {
        what: 'That frame contact is on a lead that belongs to frame.',
        todo: 'Harmless here: check which lead it is.',
      }
    case 'over-volts':
      return {
        what: `${figures.plain(number(params, 'volts'), 3)} V is more than this part may see.`,
        todo: `At most ${figures.plain(number(params, 'most'), 3)} V.`,
      }
    case 'across-electronics':
      return { what: 'There are electronics between these two.', todo: 'This pair must not see test volts.' }
    case 'unknown-pins-power':
      return { what: 'Power, and the pins are not known by ohms yet.', todo: 'Ohms first, no spark.' }
    case 'supply-high':
      return {
        what: `${figures.plain(number(params, 'volts'), 3)} V on a part for ${figures.plain(number(params, 'rated'), 3)} V heats it ${figures.plain(number(params, 'times'), 2)} times.`,
        todo: 'Use the rated supply.',
      }
    case 'click-only':
      return { what: 'A click proves the magnet, not the contact.', todo: 'Read the contacts, or look at the travel.' }
    case 'gauges-too-near':
      return {
        what: `The micrometer fits gauges ${text(params, 'gauges')}.`,
        todo: 'Measure several strands side by side.',
      }
    case 'odd-poles':
      return {
        what: `${number(params, 'poles')} poles cannot alternate round a ring.`,
        todo: 'The last clashes with the first: look at the original.',
      }
    case 'winder-direction':
      return {
        what: 'The winder’s direction is not settled against the original.',
        todo: 'The bobbin turns opposite to the lay it makes: check with one turn.',
      }
    case 'no-ground-after':
      return {
        what: 'Rewound, and not tested to frame since it was fixed.',
        todo: 'Fixing can pinch: test to frame again.',
      }
    case 'retest-missing':
      return {
        what: `Repaired, and not tested again: ${text(params, 'checks')
          .split(' ')
          .map((id) => checkLabel(card, id))
          .join(', ')}.`,
        todo: 'Repeat the tests that failed it.',
      }
  }
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
