import type { Script } from '@sure-spool/core/testing'
import { bench, clips, looked, looked18, safe, twin, type Story } from './story'

const pump = 'metering-pump solenoid'

/** One of a tray: the coil on four wires, then its shell. */
const pumpWork =
  (coil: string, shell: string) =>
  (script: Script): void => {
    safe(looked(script, ['sound']))
      .ready(19.5)
      .read('coil', coil, bench)
      .again('coil', coil, bench)
    script.put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
    script.read('shell', shell, { instrument: 't1', pair: ['1', 'frame'], conditions: { testVolts: 510 } })
    const good = script.state().finding.word === 'no-fault-found'
    script.put({
      kind: 'decision',
      what: good ? 'return' : 'replace',
      why: good ? 'Accepted for the refit.' : 'Under its limits on four wires: turns are shorted.',
    })
  }

const tray: Story[] = ['1.472', '1.488', '1.103', '1.465', '1.491'].map((coil, i) => ({
  tag: `SQ-035${i + 1}`,
  card: pump,
  history: 'new',
  complaint: ['none'],
  words: 'five for the refit of the pilot boat',
  from: 'the pilot boat',
  place: 'done',
  takenIn: `2024-09-1${i}T08:00:00.000Z`,
  by: 'Wil',
  startedAt: `2024-09-1${i}T08:20:00.000Z`,
  work: pumpWork(coil, `${120 + 10 * i}M`),
  tray: 'refit',
}))

/** Units that came in together, and one that came back from the winder. */
export const together: Story[] = [
  ...tray,
  {
    tag: 'SQ-0358',
    card: twin,
    serial: '18-20417',
    history: 'used',
    complaint: ['fades-at-idle'],
    words: 'dies when it is throttled back',
    from: 'the pot boat',
    place: 'done',
    takenIn: '2024-09-20T09:00:00.000Z',
    by: 'Tam',
    startedAt: '2024-09-20T09:30:00.000Z',
    work: (script) => {
      looked18(script)
        .ready(18)
        .read('low', '236', clips)
        .again('low', '236.2', clips)
        .read('high', '36.2', clips)
        .read('series', '272.1', clips)
        .read('trigger', '91.4', clips)
        .framed('O', 'V')
        .put({ kind: 'decision', what: 'rewind', about: ['low'], why: 'A quarter of its ohms gone: shorted turns.' })
    },
    again: {
      startedAt: '2024-10-02T10:10:00.000Z',
      worker: 'Ines',
      rewound: true,
      work: (script) => {
        looked18(script)
          .ready(20)
          .read('low', '322', clips)
          .read('high', '36.5', clips)
          .read('series', '358.3', clips)
          .read('trigger', '92.0', clips)
          .framed('O', 'V')
          .put({ kind: 'decision', what: 'return', why: 'Rewound; every figure is right.' })
          .put({ kind: 'outcome', what: 'ran-well', words: 'Idles all day.' })
      },
    },
  },
]
