import type { EntryBody } from '@sure-spool/core'
import type { Script } from '@sure-spool/core/testing'
import { clips, safe, type Story } from './story'

const seen = (script: Script, ...what: ('sound' | 'corroded' | 'burnt')[]) =>
  safe(script.put({ kind: 'look', check: 'look', place: 'the part', what }))
const on = (volts: number): EntryBody => ({ kind: 'supply', text: String(volts), volts, u: 0.06, while: 'on' })
const answered = (script: Script, check: string, answer: string) =>
  script.put({
    kind: 'reading',
    check,
    reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
  })
const framed = (script: Script) => script.put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })

/** One finished unit of each other kind of part, with what is typical of its work. */
export const kinds: Story[] = [
  {
    tag: 'SQ-0414',
    card: 'changeover relay 24 V',
    history: 'used',
    complaint: ['intermittent'],
    words: 'winch light comes on when it likes',
    from: 'the ferry’s tender',
    place: 'done',
    takenIn: '2026-11-12T08:05:00.000Z',
    by: 'Tam',
    startedAt: '2026-11-12T09:30:00.000Z',
    work: (script) => {
      const drive = { plus: '86', minus: '85' }
      seen(script, 'sound').ready(19).read('coil', '312')
      script.read('rest', 'OL 40M', { pair: ['30', '87'] }).read('rest', '0.14', { pair: ['30', '87a'], ...clips })
      script.read('rest', 'OL 40M', { pair: ['87', '87a'] }).put(on(24.1))
      script.read('driven', 'OL 40M', { pair: ['30', '87'], conditions: { drive } })
      script.read('driven', 'OL 40M', { pair: ['30', '87a'], conditions: { drive } })
      script.read('driven', 'OL 40M', { pair: ['87', '87a'], conditions: { drive } })
      script.read('driven', 'OL 40M', { pair: ['30', '87'], conditions: { drive }, ...clips })
      script.put({
        kind: 'decision',
        what: 'replace',
        why: 'The make contact stays open, read twice; the coil is right.',
      })
    },
  },
  {
    tag: 'SQ-0415',
    card: 'C3 cold-room compressor',
    history: 'used',
    complaint: ['dead'],
    words: 'hums and trips',
    from: 'the fish cold room',
    place: 'done',
    takenIn: '2026-11-13T07:45:00.000Z',
    by: 'Ines',
    startedAt: '2026-11-13T08:20:00.000Z',
    work: (script) => {
      seen(script, 'sound').ready(17)
      const pair = (a: string, b: string): [string, string] => [a, b]
      script.read('pins', 'OL 40M', { pair: pair('C', 'R') }).read('pins', '11.6', { pair: pair('C', 'S'), ...clips })
      script.read('pins', 'OL 40M', { pair: pair('R', 'S') })
      script
        .read('pins', 'OL 40M', { pair: pair('C', 'R'), ...clips })
        .read('pins', 'OL 40M', { pair: pair('R', 'S'), ...clips })
      framed(script).read('shell', '515V 240M', { pair: pair('C', 'frame'), instrument: 't1' })
      script.put({
        kind: 'decision',
        what: 'replace',
        about: ['run'],
        why: 'Run winding open, both its pairs read twice.',
      })
    },
  },
  {
    tag: 'SQ-0416',
    card: 'winch motor armature',
    history: 'used',
    complaint: ['weak'],
    words: 'slow under load, sparks',
    from: 'the long-liner',
    place: 'done',
    takenIn: '2026-11-13T10:10:00.000Z',
    by: 'Tam',
    startedAt: '2026-11-13T13:00:00.000Z',
    work: (script) => {
      seen(script, 'burnt').ready(18)
      for (let bar = 1; bar <= 23; bar++)
        script.read('bars', bar === 9 ? '2.2' : (4.2 + 0.1 * (bar % 3)).toFixed(1), { index: bar, instrument: 'g1' })
      framed(script).read('shaft', 'OL 40M', { pair: ['bars', 'frame'] })
      answered(script, 'blade', 'pulls and buzzes')
      script.put({
        kind: 'decision',
        what: 'rewind',
        about: [9],
        why: 'Bar 9 reads half: shorted turns, and the blade pulls there.',
      })
    },
  },
  {
    tag: 'SQ-0417',
    card: '40 ignition lead set',
    history: 'used',
    complaint: ['intermittent'],
    words: 'misses in the wet',
    from: 'a tender',
    place: 'done',
    takenIn: '2026-11-14T08:00:00.000Z',
    by: 'Wil',
    startedAt: '2026-11-14T08:40:00.000Z',
    work: (script) => {
      const lengths = [0.31, 0.38, 0.46, 0.52]
      const ohms = ['1.71k', '2.14k', '2.58k', '2.93k']
      seen(script, 'sound').ready(18)
      lengths.forEach((x, i) => script.read('still', ohms[i] ?? '', { index: i + 1, x, ...clips }))
      lengths.forEach((x, i) => {
        const bent = { index: i + 1, x, conditions: { state: ['flexed'] }, ...clips }
        script.read('bent', ohms[i] ?? '', bent)
      })
      script.put({ kind: 'decision', what: 'return', why: 'All four right and steady while bent.' })
    },
  },
  {
    tag: 'SQ-0418',
    card: 'tank sender',
    history: 'used',
    complaint: ['reads-wrong'],
    words: 'gauge stands at half',
    from: 'the pilot boat',
    place: 'done',
    takenIn: '2026-11-16T09:15:00.000Z',
    by: 'Ines',
    startedAt: '2026-11-16T09:50:00.000Z',
    work: (script) => {
      seen(script, 'corroded').ready(18)
      const at = (x: number, text: string) => script.read('travel', text, { x, pair: ['S', 'frame'], ...clips })
      at(0, '6.1')
      at(25, '48.2')
      at(50, '121')
      at(50, '122')
      at(75, '135')
      at(100, '178')
      script.put({ kind: 'decision', what: 'replace', why: 'The track is worn at half: read high twice there.' })
    },
  },
  {
    tag: 'SQ-0419',
    card: 'DV-24 deck-valve solenoid',
    history: 'used',
    complaint: ['sticks'],
    words: 'moves only when tapped',
    from: 'the boatyard',
    place: 'done',
    takenIn: '2026-11-17T08:30:00.000Z',
    by: 'Tam',
    startedAt: '2026-11-17T10:00:00.000Z',
    work: (script) => {
      seen(script, 'corroded').ready(19).read('coil', '21.9', clips)
      framed(script).read('shell', '512V 310M', { pair: ['1', 'frame'], instrument: 't1' })
      script.put(on(23.9)).read('draw', '1.080', { conditions: { volts: 24 } })
      answered(script, 'travel', 'sticks')
      script.put({ kind: 'decision', what: 'clean', why: 'Coil, insulation and draw are right: the plunger sticks.' })
    },
  },
  {
    tag: 'SQ-0420',
    card: 'two-coil pickup',
    history: 'used',
    complaint: ['weak'],
    words: 'thin since the string was changed',
    from: 'the schoolhouse',
    place: 'done',
    takenIn: '2026-11-18T11:00:00.000Z',
    by: 'Ines',
    startedAt: '2026-11-18T13:20:00.000Z',
    work: (script) => {
      seen(script, 'sound').ready(19).read('first', '4.31k').read('second', 'OL 40M')
      script.again('second', 'OL 40M', clips)
      script.read('henries1', '1.08', { conditions: { hertz: 120 } })
      script.read('shield', '0.4', clips)
      framed(script)
        .read('apart', 'OL 40M', { pair: ['A', 'frame'] })
        .read('apart', 'OL 40M', { pair: ['D', 'frame'] })
      script.put({ kind: 'decision', what: 'rewind', about: ['second'], why: 'Second coil open, read twice.' })
    },
  },
  {
    tag: 'SQ-0421',
    card: 'fog-bell striker solenoid',
    history: 'used',
    complaint: ['none'],
    words: 'the other one is dead; is this one alike?',
    from: 'the fog bell',
    place: 'done',
    takenIn: '2026-11-19T09:00:00.000Z',
    by: 'Wil',
    startedAt: '2026-11-19T09:25:00.000Z',
    work: (script) => {
      seen(script, 'sound').ready(16).read('coil', '41.2', clips)
      framed(script).read('frame', 'OL 40M', { pair: ['1', 'frame'] })
      answered(script, 'strikes', 'strikes')
      script.put({ kind: 'decision', what: 'return', why: 'Strikes; no figure is published, and its twin is dead.' })
    },
  },
]
