import { mostPhotosAtOnce, photosNamed, type RewindView } from '@sure-spool/contract'
import { rewindState, woundWindings, type Coil, type Rewind } from '@sure-spool/core'
import { ask, Away } from '../store/api'
import { useRewind } from '../store/rewind'
import { useShop } from '../store/shop'
import { readRewindFile, type RewindFile } from './rewindFile'

/** A rewind's own file at a unit: its own comes in as it was; of another it is begun anew, with that one's plan. */
export function useRewindFile() {
  const shop = useShop()
  const store = useRewind()

  /**
   * Takes a file in at a unit.
   * @param before the run it is begun from, where there is one
   * @returns the rewind to go on with
   * @throws Error with a sentence where nothing was taken in
   */
  async function take(file: File, unit: RewindView['unit'], before: string | undefined): Promise<string> {
    const found = await readRewindFile(file)
    if (found.rewind.unit === unit.id) return asItWas(found, file.name)
    return begunLike(found.rewind, unit, before)
  }

  /** The rewind first and its photos behind it, some at a time: taken in again, what is there already stays as it is. */
  async function asItWas({ rewind, photos }: RewindFile, name: string): Promise<string> {
    const by = shop.person?.id
    const named = photosNamed(rewind.entries)
    const own = photos.filter(({ id }) => named.includes(id))
    try {
      for (let at = 0; at === 0 || at < own.length; at += mostPhotosAtOnce)
        await ask(`/rewinds/${rewind.id}`, {
          method: 'PUT',
          body: { rewind, photos: own.slice(at, at + mostPhotosAtOnce), by },
        })
    } catch (error) {
      if (!(error instanceof Away)) throw error
      throw new Error(`${name} was not taken in whole: the server is away. Take it in again when it is back.`, {
        cause: error,
      })
    }
    return rewind.id
  }

  /** Coils and plans as the file has them; what was counted, read and done stays that other part's. */
  async function begunLike(from: Rewind, unit: RewindView['unit'], before: string | undefined): Promise<string> {
    const state = rewindState(from)
    const coils: Coil[] = from.coils
    const id = await store.begin(unit, before, coils)
    const wound = new Map(woundWindings(state).map((one) => [one.winding, one]))
    for (const { coil, plan, original } of state.coils) {
      const { turns } = wound.get(coil.winding) ?? {}
      const facts = plan ?? (original.turns === undefined ? undefined : { ...original, from: 'told' as const, why: '' })
      if (!facts || coils.find(({ winding }) => winding === coil.winding)?.id !== coil.id) continue
      const { left: _left, ...told } = facts
      store.add({
        kind: 'plan',
        coil: coil.id,
        plan: {
          ...told,
          ...(turns === undefined ? {} : { turns }),
          from: 'told',
          why: 'as the file of another was wound',
        },
      })
    }
    return id
  }

  return { take }
}
