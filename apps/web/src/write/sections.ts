import { cardGaps, type Card } from '@sure-spool/core'
import type { PathProblem } from '@sure-spool/contract'
import CareSection from './CareSection.vue'
import ChecksSection from './ChecksSection.vue'
import { contradictionWords, gapWords } from './gapWords'
import HintsSection from './HintsSection.vue'
import NameSection from './NameSection.vue'
import PlugsSection from './PlugsSection.vue'
import RelationsSection from './RelationsSection.vue'
import SourcesSection from './SourcesSection.vue'
import TerminalsSection from './TerminalsSection.vue'
import VariantsSection from './VariantsSection.vue'
import WindingsSection from './WindingsSection.vue'

/** The sections of a card, in the order in which it is written; each id is the card's own field. */
export const sections = [
  { id: 'name', label: 'Name', form: NameSection },
  { id: 'terminals', label: 'Terminals', form: TerminalsSection },
  { id: 'plugs', label: 'Plugs', form: PlugsSection },
  { id: 'windings', label: 'Windings', form: WindingsSection },
  { id: 'sources', label: 'Sources', form: SourcesSection },
  { id: 'checks', label: 'Checks and limits', form: ChecksSection },
  { id: 'relations', label: 'Between readings', form: RelationsSection },
  { id: 'hints', label: 'Hints', form: HintsSection },
  { id: 'variants', label: 'Variants', form: VariantsSection },
  { id: 'care', label: 'Care', form: CareSection },
]

/** One thing to mend or to add, and the section where it is. */
export interface ToMend {
  key: string
  words: string
  section: string
  wrong: boolean
}

/** `checks[2].label` as a person counts: `check 3, label`. */
const pathWords = (path: string): string =>
  path.replace(/s?\[(\d+)\]/g, (_all, at: string) => ` ${Number(at) + 1}`).replace(/\./g, ', ')
const sectionOf = (path: string): string => sections.find(({ id }) => path.startsWith(id))?.id ?? 'name'
/** while these are wrong nothing more can be said of the card */
const isShape = (path: string): boolean => /terminals|windings|checks\[\d+\]\.at/.test(path)

/** What is wrong with a card, what contradicts itself, and what is missing. What is wrong is mended first; what is only missing may stay so. */
export function toMend(card: Card, problems: PathProblem[]): ToMend[] {
  const wrong = problems.map(({ path, detail }) => ({
    key: path,
    words: `${pathWords(path)} ${detail}.`,
    section: sectionOf(path),
    wrong: true,
  }))
  if (problems.some(({ path }) => isShape(path))) return wrong
  const { gaps, remarks } = cardGaps(card)
  return [
    ...wrong,
    ...remarks.map((one) => ({
      key: `${one.id}${one.check}`,
      words: contradictionWords(card, one),
      section: 'checks',
      wrong: true,
    })),
    ...gaps.map((one) => ({ key: `${one.id}${one.about ?? ''}`, ...gapWords(card, one), wrong: false })),
  ]
}
