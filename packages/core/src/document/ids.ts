/** The words that stand for kinds of thing in both documents. Each is worded for people in one place, in the web app. */
export const families = [
  'ignition-stator',
  'charging-stator',
  'low-ohm-stator',
  'ignition-coil',
  'coil-pack',
  'ignition-leads',
  'injector-solenoid',
  'valve-solenoid',
  'solenoid',
  'solenoid-set',
  'relay',
  'compressor',
  'motor',
  'armature',
  'pickup',
  'speed-sensor',
  'sender',
  'thermistor',
  'other',
] as const
export type Family = (typeof families)[number]

export const quantities = [
  'resistance',
  'insulation',
  'voltage',
  'current',
  'inductance',
  'capacitance',
  'length',
  'temperature',
  'speed',
  'frequency',
  'field',
  'gain',
  'position',
] as const
export type Quantity = (typeof quantities)[number]

export const isolations = ['loose', 'unplugged', 'one-lead-lifted', 'in-circuit'] as const
export type Isolation = (typeof isolations)[number]

export const complaintIds = [
  'none',
  'dead',
  'weak',
  'intermittent',
  'trips-when-hot',
  'hard-to-start',
  'fades-at-idle',
  'misses-above-half',
  'will-not-charge',
  'overcharges',
  'blows-fuses',
  'sticks',
  'slow',
  'noisy',
  'reads-wrong',
] as const
export type ComplaintId = (typeof complaintIds)[number]

export const lookIds = [
  'sound',
  'burnt',
  'cracked',
  'chafed',
  'corroded',
  'swollen',
  'loose',
  'wet',
  'oily',
  'broken-wire',
  'bad-joint',
  'tight-fit',
  'smell',
] as const
export type LookId = (typeof lookIds)[number]

export const cautionIds = [
  'supply-off',
  'battery-lead-off',
  'discharge-first',
  'test-voltage-bites',
  'ignition-secondary',
  'hot-exhaust',
  'running-engine',
  'compressor-unplugged',
  'under-vacuum',
  'never-spark',
  'licensed-work',
] as const
export type CautionId = (typeof cautionIds)[number]

export const colours = [
  'black',
  'brown',
  'red',
  'orange',
  'yellow',
  'green',
  'blue',
  'violet',
  'grey',
  'white',
  'pink',
  'tan',
  'turquoise',
  'bare',
  'clear',
] as const
export type Colour = (typeof colours)[number]

export const workIds = [
  'off',
  'on',
  'unsolder',
  'solder',
  'reflow',
  'splice',
  'clean',
  'rewind',
  'fix',
  'reinstall',
  'run',
  'replace-neighbour',
] as const
export type WorkId = (typeof workIds)[number]

export const decisionIds = [
  'return',
  'clean',
  'rejoin',
  'splice',
  'rewind',
  'replace',
  'replace-neighbour',
  'exchange',
  'more-tests',
] as const
export type DecisionId = (typeof decisionIds)[number]
