import { Script, twinCard } from '../testing'
import { but, butCheck, holdClauses } from '../testing/clauses'
import * as readings from './readingRules'

holdClauses('ground', [
  [
    readings.groundCeiling,
    () => new Script(twinCard()).ready().read('frame', 'OL 1M', { pair: ['O', 'frame'] }),
    {
      'a high range': but({ bound: 2e6 }),
      'not to frame': butCheck({ toFrame: false }),
      'not within': but({ verdict: 'none' }),
    },
  ],
])
