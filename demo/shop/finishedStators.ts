import { twin, single, charging, clips, bench, lastResort, looked, safe, looked18, plain, type Story } from './story'

/** Stators that are done, the first of the shop’s months. */
export const finishedStators: Story[] = [
  {
    tag: 'SQ-0401',
    card: twin,
    serial: '18-40233',
    history: 'used',
    complaint: ['trips-when-hot'],
    words: 'stops after half an hour, starts again cold',
    from: 'the pilot boat',
    place: 'done',
    takenIn: '2026-09-14T08:10:00.000Z',
    by: 'Ines',
    startedAt: '2026-09-14T09:00:00.000Z',
    work: (script) => {
      looked18(script)
        .ready(19)
        .read('low', '316')
        .read('high', '36.2')
        .read('series', '352.4')
        .read('trigger', '90.8')
        .framed('O', 'V')
        .put({ kind: 'decision', what: 'return', why: `Every cold figure is right. ${lastResort}` })
        .put({ kind: 'outcome', what: 'came-back', words: 'Cut out warm again within a week.' })
    },
  },
  {
    tag: 'SQ-0402',
    card: twin,
    serial: '18-39871',
    history: 'used',
    complaint: ['fades-at-idle'],
    words: 'will not idle, runs on the throttle',
    from: 'the school boat',
    place: 'done',
    takenIn: '2026-09-21T07:50:00.000Z',
    by: 'Tam',
    startedAt: '2026-09-21T08:30:00.000Z',
    work: (script) => {
      looked(script, ['burnt'], 'lacquer brown on the low-speed coil')
      safe(script)
        .ready(20)
        .read('low', '251')
        .read('high', '36.6')
        .read('series', '287.2')
        .read('trigger', '92.1')
        .framed('O', 'V')
        .put({
          kind: 'decision',
          what: 'rewind',
          about: ['low'],
          why: 'Shorted turns in the low-speed coil; the other coil and the trigger are right.',
        })
    },
  },
  {
    tag: 'SQ-0403',
    card: twin,
    history: 'used',
    complaint: ['misses-above-half'],
    words: 'misses from half throttle up',
    from: 'the long-liner',
    place: 'done',
    takenIn: '2026-09-28T07:30:00.000Z',
    by: 'Ines',
    startedAt: '2026-09-28T10:05:00.000Z',
    work: (script) => {
      looked18(script)
        .ready(21)
        .read('low', '320')
        .read('high', 'OL')
        .again('high', 'OL', clips)
        .read('series', 'OL')
        .read('trigger', '93.0')
        .framed('O', 'T', 'V')
        .put({
          kind: 'decision',
          what: 'replace',
          about: ['high'],
          why: 'High-speed coil open, read twice; the series reading adds no second place.',
        })
    },
  },
  {
    tag: 'SQ-0404',
    card: single,
    history: 'used',
    complaint: ['hard-to-start'],
    words: 'ten pulls cold',
    from: 'a tender',
    place: 'done',
    takenIn: '2026-10-05T08:20:00.000Z',
    by: 'Wil',
    startedAt: '2026-10-05T09:15:00.000Z',
    work: (script) => {
      plain(script)
        .ready(18)
        .read('lighting', '0.5571', bench)
        .read('ignition', '1.228', bench)
        .read('earth', '0.04', { contact: 'clips' })
        .framed('Y1', 'R')
        .read('volts', '19.4', { conditions: { rpm: 1200 } })
        .put({ kind: 'decision', what: 'return', why: 'Ohms and volts at speed are right. Look at the carburettor.' })
    },
  },
  {
    tag: 'SQ-0405',
    card: single,
    history: 'used',
    complaint: ['weak', 'hard-to-start'],
    words: 'weak blue spark, then none',
    from: 'the harbour office',
    place: 'done',
    takenIn: '2026-10-07T08:00:00.000Z',
    by: 'Tam',
    startedAt: '2026-10-07T08:40:00.000Z',
    work: (script) => {
      plain(script)
        .ready(20)
        .read('lighting', '0.5624', bench)
        .read('ignition', '1.251', bench)
        .read('earth', '0.05', clips)
        .framed('Y1', 'R')
        .read('volts', '9.8', { conditions: { rpm: 1200 } })
        .again('volts', '9.9', { conditions: { rpm: 1200 }, contact: 'clips' })
        .put({
          kind: 'decision',
          what: 'replace',
          about: ['ignition'],
          why: 'Reads right and still makes half its volts at 1200 rpm.',
        })
    },
  },
  {
    tag: 'SQ-0406',
    card: charging,
    history: 'used',
    complaint: ['will-not-charge'],
    words: 'battery flat after one night out',
    from: 'the ferry’s deck',
    place: 'done',
    takenIn: '2026-10-09T09:30:00.000Z',
    by: 'Ines',
    startedAt: '2026-10-09T10:00:00.000Z',
    work: (script) => {
      plain(script)
        .ready(20)
        .read('uv', '0.6204', bench)
        .read('vw', '0.7411', bench)
        .again('vw', '0.7402', bench)
        .read('wu', '0.7397', bench)
        .again('wu', '0.7405', bench)
        .framed('U')
        .put({
          kind: 'decision',
          what: 'rewind',
          about: ['w'],
          why: 'Both pairs with leg 3 read a fifth high, by clips, twice: a bad joint or a thinned leg.',
        })
    },
  },
  {
    tag: 'SQ-0407',
    card: charging,
    history: 'rewound',
    complaint: ['will-not-charge'],
    words: 'lamps dim at anchor',
    from: 'the school boat',
    place: 'done',
    takenIn: '2026-10-13T07:45:00.000Z',
    by: 'Ines',
    startedAt: '2026-10-13T09:20:00.000Z',
    work: (script) => {
      plain(script)
        .ready(17)
        .read('uv', '0.6132', bench)
        .read('vw', '0.6118', bench)
        .read('wu', '0.6127', bench)
        .framed('U')
        .put({
          kind: 'decision',
          what: 'return',
          why: 'Legs alike within half a per cent, open to frame. The regulator goes with it to be tried.',
        })
        .put({ kind: 'outcome', what: 'ran-well', words: 'It was the regulator.' })
    },
  },
]
