import type { AuditLine } from '@sure-spool/contract'
import { decisionWords } from './kinds'

type Words = (about: string, detail: AuditLine['detail']) => string
const said = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '')
const counted = (detail: AuditLine['detail']): string =>
  Object.entries(detail)
    .map(([what, count]) => `${said(count)} ${what}`)
    .join(', ')

/** A PIN, a password, or both, as a person calls them. */
export const secretWords = (kinds: readonly string[]): string =>
  kinds.map((kind) => (kind === 'pin' ? 'PIN' : kind)).join(' and ')

const words: Record<string, Words> = {
  'first-run': (about) => `began the shop ${about}`,
  seated: (about) => `${about} took a seat`,
  'signed-out': (about) => `every seat of ${about} was ended`,
  'code-given': () => 'gave a code for a bench',
  'bench-joined': (about) => `${about} became a bench`,
  'bench-off': (about) => `${about} is no bench any more`,
  secret: (about, { what }) => `${about} got a new ${Array.isArray(what) ? secretWords(what.map(said)) : 'secret'}`,
  recovered: (about) => `${about} was made owner from the command line`,
  'person-new': (about, { access }) => `${about} came into the shop as ${said(access)}`,
  person: (about, { access }) => `${about} was changed: ${said(access)}`,
  settings: () => 'the habits were changed',
  meter: (about) => `meter ${about} was kept`,
  'meter-off': (about) => `meter ${about} was taken off the bench`,
  imported: (about, detail) => `took in a shop’s file of ${about}: ${counted(detail)}`,
  'figures-in': (about, { rows }) => `took in ${said(rows)} rows of figures: ${about}`,
  published: (about, { revision }) => `published ${about}, revision ${said(revision)}`,
  dropped: (about, { revision }) => `threw away the draft of ${about}, revision ${said(revision)}`,
  moved: (about, { from, to }) => `moved ${about} from ${said(from)} to ${said(to)}`,
  renamed: (about, { from }) => `${said(from)} was taken: the later part is ${about}`,
  decided: (about, { what }) =>
    `decided on ${about}: ${decisionWords[what as keyof typeof decisionWords] ?? said(what)}`,
}

/** What a line of the list of changes says. */
export const auditWords = ({ what, about, detail }: AuditLine): string =>
  words[what]?.(about, detail) ?? `${what} ${about}`
