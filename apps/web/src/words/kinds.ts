import type {
  CautionId,
  CheckKind,
  ComplaintId,
  DecisionId,
  Family,
  History,
  Isolation,
  LookId,
  Place,
  Quantity,
  WorkId,
} from '@sure-spool/core'
import type { FindingWord, Grade, StepGroup, Verdict } from '@sure-spool/core'

/** The one place where ids become words. */
export const familyWords: Record<Family, string> = {
  'ignition-stator': 'ignition stator',
  'charging-stator': 'charging stator',
  'low-ohm-stator': 'coarse-wire stator',
  'ignition-coil': 'ignition coil',
  'coil-pack': 'coil pack',
  'ignition-leads': 'ignition leads',
  'injector-solenoid': 'injector solenoid',
  'valve-solenoid': 'valve solenoid',
  solenoid: 'solenoid',
  'solenoid-set': 'set of solenoids',
  relay: 'relay',
  compressor: 'compressor',
  motor: 'motor',
  armature: 'armature',
  pickup: 'pickup',
  'speed-sensor': 'speed pickup',
  sender: 'sender',
  thermistor: 'thermistor',
  other: 'wound part',
}

export const complaintWords: Record<ComplaintId, string> = {
  none: 'no complaint',
  dead: 'dead',
  weak: 'weak',
  intermittent: 'comes and goes',
  'trips-when-hot': 'cuts out warm',
  'hard-to-start': 'hard to start',
  'fades-at-idle': 'fades below idle',
  'misses-above-half': 'misses above half throttle',
  'will-not-charge': 'will not charge',
  overcharges: 'overcharges',
  'blows-fuses': 'blows fuses',
  sticks: 'sticks',
  slow: 'slow',
  noisy: 'noisy',
  'reads-wrong': 'reads wrong',
}

export const historyWords: Record<History, string> = { new: 'new', used: 'used', rewound: 'rewound' }

export const lookWords: Record<LookId, string> = {
  sound: 'sound',
  burnt: 'burnt',
  cracked: 'cracked',
  chafed: 'chafed',
  corroded: 'corroded',
  swollen: 'swollen',
  loose: 'loose',
  wet: 'wet',
  oily: 'oily',
  'broken-wire': 'broken wire',
  'bad-joint': 'bad joint',
  'tight-fit': 'tight fit',
  smell: 'smells burnt',
}

export const isolationWords: Record<Isolation, string> = {
  loose: 'loose on the bench',
  unplugged: 'in place, unplugged',
  'one-lead-lifted': 'one lead lifted',
  'in-circuit': 'still in circuit',
}

export const workWords: Record<WorkId, string> = {
  off: 'taken off',
  on: 'refitted',
  unsolder: 'unsoldered',
  solder: 'soldered',
  reflow: 'reflowed',
  splice: 'spliced',
  clean: 'cleaned',
  rewind: 'rewound',
  fix: 'fixed',
  reinstall: 'mounted',
  run: 'ran',
  'replace-neighbour': 'neighbour replaced',
}

export const placeWords: Record<Place, string> = { machine: 'on the machine', bench: 'on the bench' }

export const cautionWords: Record<CautionId, string> = {
  'supply-off': 'Supply off, unplugged and locked out before you touch it.',
  'battery-lead-off': 'Battery lead off before ohms.',
  'discharge-first': 'Discharge capacitors and long leads before ohms, and again after an insulation test.',
  'test-voltage-bites': 'Test voltage bites, and is more than electronics bear.',
  'ignition-secondary': 'Ignition secondaries kill: nothing running, leads off.',
  'hot-exhaust': 'Hot exhaust and hot wax burn.',
  'running-engine': 'Running engine: nothing loose near the flywheel, and somebody at the stop switch.',
  'compressor-unplugged': 'Drive, start relay and overload unplugged first.',
  'under-vacuum': 'No insulation test and no power under vacuum.',
  'never-spark': 'Never spark a lead to test it.',
  'licensed-work': 'Refrigerant circuits and fixed wiring belong to licensed people.',
}

/** Stands under every list of cautions. */
export const cautionFoot = 'Local codes and the maker’s instructions go before these lines.'

export const decisionWords: Record<DecisionId, string> = {
  return: 'return as is',
  clean: 'clean and return',
  rejoin: 'make the joint again',
  splice: 'splice the lead',
  rewind: 'rewind',
  replace: 'replace',
  'replace-neighbour': 'replace its neighbour',
  exchange: 'exchange for a known good one',
  'more-tests': 'more tests',
}

/** How a reading is out of use. */
export const goneWords = { 'taken-back': 'taken back', retaken: 'taken again', mistyped: 'mistyped' } as const

export const outcomeWords = { 'ran-well': 'ran well', 'came-back': 'came back' } as const

export const verdictWords: Record<Verdict, string> = {
  within: 'within',
  borderline: 'borderline',
  outside: 'outside',
  none: 'not judged',
}

export const findingWords: Record<FindingWord, string> = {
  'fault-found': 'fault found',
  undecided: 'undecided',
  'no-fault-found': 'no fault found',
}

/** What a kind of check does, as a menu says it. */
export const kindWords: Record<CheckKind, string> = {
  resistance: 'ohms',
  continuity: 'a path or none',
  insulation: 'insulation',
  inductance: 'henries',
  capacitance: 'farads',
  current: 'amperes drawn',
  lamp: 'a lamp in series',
  'ac-output': 'AC volts while it turns',
  'dc-output': 'DC volts while it runs',
  field: 'a field',
  curve: 'ohms along a curve',
  bars: 'bar to bar',
  'per-length': 'ohms a metre',
  contacts: 'contacts, driven or at rest',
  'pair-matrix': 'pairs of unknown wires',
  'three-pins': 'three pins',
  look: 'a look',
  act: 'does it act',
  response: 'a response over frequency',
}

/** A finding has no ruler: a flag, a tick, or nothing yet. */
export const findingMarks = { 'fault-found': 'flagged', undecided: 'none', 'no-fault-found': 'done' } as const

export const gradeWords: Record<Grade, string> = {
  maker: 'maker',
  trade: 'trade',
  measured: 'own measurement',
  told: 'told',
  guess: 'guess',
}

export const groupWords: Record<StepGroup, string> = {
  meet: 'Meet the part',
  safe: 'Make safe',
  leads: 'Leads',
  windings: 'Windings',
  ground: 'Ground',
  act: 'Does it act',
  asked: 'Besides',
  finding: 'Finding, decide',
}

/** What a reading is read in, as people say it. */
export const quantityWords: Partial<Record<Quantity, string>> = {
  resistance: 'ohms',
  current: 'amperes',
  voltage: 'volts',
  insulation: 'megohms under test volts',
  inductance: 'henries',
  capacitance: 'farads',
  field: 'teslas',
  gain: 'decibels',
  length: 'length',
  temperature: 'temperature',
  position: 'place, a bare number',
  frequency: 'frequency',
}
