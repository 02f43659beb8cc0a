import { Script, twinCard } from '@sure-spool/core/testing'

/** A run of 60 entries on the 18 twin: read through, and read again. */
export function longRun(options: ConstructorParameters<typeof Script>[1] = {}): Script {
  const script = new Script(twinCard(), options).ready()
  while (script.run.entries.length < 57)
    script.read('low', '322').read('high', '36.5').read('series', '358.4').read('trigger', '91').framed('O', 'V')
  while (script.run.entries.length > 60) script.run.entries.pop()
  while (script.run.entries.length < 60) script.put({ kind: 'note', words: 'fills the tape' })
  return script
}
