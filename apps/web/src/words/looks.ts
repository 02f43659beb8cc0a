import { entriesThatStand, type EntryOf, type RunState } from '@sure-spool/core'
import { photosOf, type Shown } from './photosOf'
import { lookWords } from './kinds'

/** Where a look was and what was said beside it: the place alone is said only where it is more than the part. */
export const lookSaid = ({ place, words = '' }: Pick<EntryOf<'look'>, 'place' | 'words'>): string =>
  place === 'the part' ? words || place : [place, words].filter((one) => one !== '').join(', ')

/** The photos of a run that stand, each with what was seen or noted on it. */
export const runPhotos = ({ tape }: Pick<RunState, 'tape'>): Shown[] =>
  photosOf([...entriesThatStand(tape, 'look'), ...entriesThatStand(tape, 'note')], (entry) =>
    entry.kind === 'note' ? entry.words : `${lookSaid(entry)}: ${entry.what.map((what) => lookWords[what]).join(', ')}`,
  )
