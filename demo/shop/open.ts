import { twin, single, charging, coil, source, clips, looked, safe, plain, type Story } from './story'

/** Units still waiting, on the bench or set aside. */
export const open: Story[] = [
  {
    tag: 'SQ-0424',
    card: charging,
    history: 'used',
    complaint: ['overcharges'],
    words: 'battery boils on a long run',
    from: 'the long-liner',
    place: 'blocked',
    blockedBy: 'the four-wire meter, back from its check on Friday',
    takenIn: '2026-11-16T08:00:00.000Z',
    by: 'Tam',
    startedAt: '2026-11-16T09:00:00.000Z',
    work: (script) => {
      plain(script).ready(18).read('uv', '0.62', clips)
    },
  },
  {
    tag: 'SQ-0431',
    card: twin,
    serial: '18-41007',
    history: 'used',
    complaint: ['trips-when-hot'],
    words: 'cuts out warm, restarts after ten minutes',
    from: 'the pilot boat',
    place: 'bench',
    takenIn: '2026-11-20T07:40:00.000Z',
    by: 'Ines',
    startedAt: '2026-11-24T14:00:00.000Z',
    work: (script) => {
      looked(script, ['cracked'], 'resin cracked at the core')
      safe(script).ready(20)
      const slip = script.reading('low', '322k')
      script
        .read('low', '322', { supersedes: slip.id, mistyped: true, reason: 'no k on the meter' })
        .read('high', '52.1')
        .read('series', '358.4')
    },
  },
  {
    tag: 'SQ-0436',
    card: source,
    history: 'used',
    complaint: ['dead'],
    words: 'no spark since the winter',
    from: 'by hand, the light keeper',
    place: 'blocked',
    blockedBy: 'the plug, left on the engine',
    takenIn: '2026-11-21T09:00:00.000Z',
    by: 'Wil',
  },
  {
    tag: 'SQ-0438',
    card: source,
    history: 'used',
    complaint: ['intermittent'],
    words: 'stops when the wheel is hard over',
    from: 'the ferry’s tender',
    place: 'bench',
    takenIn: '2026-11-21T10:20:00.000Z',
    by: 'Tam',
    startedAt: '2026-11-24T08:00:00.000Z',
    work: (script) => {
      plain(script).ready(19).read('source', '347')
    },
  },
  {
    tag: 'SQ-0441',
    card: charging,
    history: 'rewound',
    complaint: ['will-not-charge'],
    words: 'battery flat after one night out',
    from: 'the long-liner',
    place: 'waiting',
    takenIn: '2026-11-23T07:30:00.000Z',
    by: 'Ines',
  },
  {
    tag: 'SQ-0442',
    card: coil,
    history: 'used',
    complaint: ['weak'],
    words: 'runs on one in the rain',
    from: 'the boatyard',
    place: 'waiting',
    takenIn: '2026-11-23T08:10:00.000Z',
    by: 'Ines',
  },
  {
    tag: 'SQ-0443',
    card: 'winch motor armature',
    history: 'used',
    complaint: ['weak'],
    words: 'the second winch does the same',
    from: 'the long-liner',
    place: 'bench',
    takenIn: '2026-11-23T08:40:00.000Z',
    by: 'Wil',
    startedAt: '2026-11-24T07:10:00.000Z',
    work: (script) => {
      const bars = ['4.3', '4.4', '4.3', '4.2', '4.3', '4.1', '4.4', '4.3', '4.3']
      script.put({ kind: 'look', check: 'look', place: 'bars, mica and lashing', what: ['oily'] })
      safe(script).ready(18)
      bars.forEach((text, i) => script.read('bars', text, { index: i + 1, instrument: 'g1', contact: 'tips' }))
    },
  },
  {
    tag: 'SQ-0445',
    card: single,
    history: 'used',
    complaint: ['will-not-charge'],
    words: 'lamps fade below walking pace',
    from: 'a tender',
    place: 'waiting',
    takenIn: '2026-11-24T07:20:00.000Z',
    by: 'Wil',
  },
  {
    tag: 'SQ-0446',
    card: twin,
    serial: '18-40518',
    history: 'used',
    complaint: ['fades-at-idle'],
    words: 'dies when it is let down to idle',
    from: 'the pot boat',
    place: 'waiting',
    takenIn: '2026-11-24T07:45:00.000Z',
    by: 'Tam',
  },
  {
    tag: 'SQ-0447',
    card: twin,
    history: 'new',
    complaint: ['none'],
    words: 'spare, before it goes on the shelf',
    from: 'own stock',
    place: 'waiting',
    takenIn: '2026-11-24T09:05:00.000Z',
    by: 'Wil',
  },
]
