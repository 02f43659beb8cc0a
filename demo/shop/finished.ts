import { twin, single, coil, source, clips, bench, looked, safe, looked18, plain, type Story } from './story'
import { finishedStators } from './finishedStators'

/** Units that are done, each with its run from the first look to the decision. */
export const finished: Story[] = [
  ...finishedStators,
  {
    tag: 'SQ-0408',
    card: coil,
    history: 'used',
    complaint: ['dead'],
    words: 'no spark on either',
    from: 'a crabber',
    place: 'done',
    takenIn: '2026-10-16T08:05:00.000Z',
    by: 'Tam',
    startedAt: '2026-10-16T08:50:00.000Z',
    work: (script) => {
      plain(script)
        .ready(19)
        .read('primary', '0.7791', bench)
        .read('secondary', 'OL')
        .again('secondary', 'OL', clips)
        .framed('B', 'T1')
        .put({ kind: 'decision', what: 'replace', about: ['secondary'], why: 'Secondary open, read twice by clips.' })
    },
  },
  {
    tag: 'SQ-0409',
    card: source,
    history: 'used',
    complaint: ['intermittent'],
    words: 'cuts out over a chop',
    from: 'the pot boat',
    place: 'done',
    takenIn: '2026-10-20T07:40:00.000Z',
    by: 'Tam',
    startedAt: '2026-10-20T08:10:00.000Z',
    work: (script) => {
      safe(
        script.put({
          kind: 'look',
          place: 'the part',
          what: ['chafed'],
          words: 'brown wire where it passes the plate',
        }),
      )
        .ready(20)
        .read('source', '351')
        .read('lighting', '1.093', bench)
        .read('trigger', '44.8')
        .framed('BR', 'GN', 'PK')
        .read('flex', '12', { conditions: { state: ['flexed'] }, contact: 'clips' })
        .put({ kind: 'answer', remark: 'prefix-decides', reason: 'plain ohms, and it comes and goes with the bend' })
        .put({ kind: 'work', what: 'splice', place: 'BR', words: 'new length of brown wire, sleeved' })
        .read('source', '350')
        .read('frame', 'OL 40M', { pair: ['BR', 'frame'] })
        .read('flex', 'OL 40M', { conditions: { state: ['flexed'] } })
        .put({ kind: 'decision', what: 'return', why: 'Chafed lead spliced; steady and open to frame while bent.' })
        .put({ kind: 'outcome', what: 'ran-well', words: '' })
    },
  },
  {
    tag: 'SQ-0410',
    card: twin,
    history: 'used',
    complaint: ['weak'],
    words: 'sluggish since the flooding',
    from: 'the boatyard',
    place: 'done',
    takenIn: '2026-10-26T08:15:00.000Z',
    by: 'Wil',
    startedAt: '2026-10-26T09:00:00.000Z',
    work: (script) => {
      looked(script, ['wet', 'corroded'], 'green in the plug')
      safe(script)
        .ready(18)
        .read('low', '315')
        .read('high', '52.1')
        .again('high', '36.3', { ...clips, reason: 'plug cleaned, clipped on' })
        .read('series', '351.6')
        .read('trigger', '91.5')
        .framed('O', 'V')
        .put({
          kind: 'decision',
          what: 'clean',
          why: 'A poor contact in the plug; cleaned, and every figure is right.',
        })
    },
  },
  {
    tag: 'SQ-0411',
    card: twin,
    history: 'new',
    complaint: ['none'],
    words: 'spare, check before it goes on the shelf',
    from: 'own stock',
    place: 'done',
    takenIn: '2026-10-30T13:00:00.000Z',
    by: 'Wil',
    startedAt: '2026-10-30T13:10:00.000Z',
    work: (script) => {
      looked18(script).ready(20)
      const slip = script.reading('low', '321k')
      script
        .put({ kind: 'answer', remark: 'prefix-jump', reason: 'the meter shows it so' })
        .read('high', '36.8')
        .read('low', '321', { supersedes: slip.id, mistyped: true, reason: 'no k on the meter' })
        .read('series', '357.5')
        .read('trigger', '93.4')
        .framed('O', 'V')
        .put({ kind: 'decision', what: 'return', why: 'Good by ohms; to the shelf.' })
    },
  },
  {
    tag: 'SQ-0412',
    card: single,
    history: 'used',
    complaint: ['intermittent'],
    words: 'spark for a week, then none',
    from: 'a tender',
    place: 'done',
    takenIn: '2026-11-04T08:30:00.000Z',
    by: 'Wil',
    startedAt: '2026-11-04T09:00:00.000Z',
    work: (script) => {
      plain(script).put({ kind: 'isolation', state: 'loose' }).put({ kind: 'temperature', part: 'room', roomC: 19 })
      const first = script.reading('lighting', '0.78', clips)
      script
        .put({ kind: 'lead-check', instrument: 'm2', text: '0.21', ohms: 0, u: 0.018, how: 'hardware' })
        .read('lighting', '0.57', { ...clips, supersedes: first.id, reason: 'leads zeroed' })
        .read('ignition', '1.25', clips)
        .read('earth', '0.61', clips)
        .again('earth', '0.63', clips)
        .framed('Y1', 'R')
        .put({
          kind: 'decision',
          what: 'rejoin',
          about: ['E'],
          why: 'Earth lead reads over half an ohm to the frame: the lug is loose on its wire.',
        })
        .put({ kind: 'outcome', what: 'ran-well', words: 'New lug crimped.' })
    },
  },
  {
    tag: 'SQ-0413',
    card: twin,
    serial: '18-39871',
    history: 'rewound',
    complaint: ['none'],
    words: 'back from rewinding, low-speed coil',
    from: 'the school boat',
    place: 'done',
    takenIn: '2026-11-09T08:00:00.000Z',
    by: 'Ines',
    startedAt: '2026-11-09T08:30:00.000Z',
    work: (script) => {
      looked18(script)
        .ready(20)
        .read('low', '281')
        .read('high', '36.4')
        .read('series', '317.1')
        .read('trigger', '92.0')
        .framed('O', 'V')
        .put({ kind: 'decision', what: 'return', why: 'Low for a new coil and right for a rewound one.' })
    },
  },
]
