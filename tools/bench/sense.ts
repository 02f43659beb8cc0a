import { readdirSync, readFileSync } from 'node:fs'
import type { Card } from '@sure-spool/core'
import { chanceFrom, meterOf, partOf } from '@sure-spool/core/simulate'
import { fourWireMeter, pocketMeter, Script, workThrough } from '@sure-spool/core/testing'

/** How often a colleague cries wolf: sound units of every demo card, each simulated a thousand times, and the stops they met. */
const units = 1000
const allowed = 1 / 200
let [stopped, runs, failed] = [0, 0, 0]
for (const name of readdirSync('demo/cards').sort()) {
  const card = JSON.parse(readFileSync(`demo/cards/${name}`, 'utf8')) as Card
  const given = new Map<string, number>()
  for (let seed = 1; seed <= units; seed++) {
    const chance = chanceFrom(seed)
    const small = card.windings.some((winding) => (winding.ohms ?? 100) < 3)
    const spread = Object.fromEntries(
      card.windings.map(({ id, tolerancePct = 5 }) => [id, 1 + chance.between(-0.3, 0.3) * (tolerancePct / 100)]),
    )
    const celsius = Math.round(chance.between(16, 24) * 2) / 2
    const meter = meterOf(small ? fourWireMeter : pocketMeter, chance)
    const script = new Script(card, { instruments: [meter.instrument] })
    const state = workThrough(script, { part: partOf(card, [], spread), meter, chance, celsius }).state()
    const stops = new Set(state.remarks.filter((one) => one.severity === 'stop').map((one) => one.id))
    for (const id of stops) given.set(id, (given.get(id) ?? 0) + 1)
    if (stops.size > 0) stopped++
    if (state.finding.word === 'fault-found') failed++
    runs++
  }
  const told = [...given].map(([id, count]) => `${id} ${count}`).join(', ')
  process.stdout.write(`${card.name.maker} ${card.name.model}: ${told === '' ? 'no stop' : told}\n`)
}
process.stdout.write(
  `false stops: ${stopped} of ${runs} sound runs, ${((stopped / runs) * 200).toFixed(2)} × the 1 in 200 allowed; called faulty: ${failed}\n`,
)
if (stopped / runs > allowed || failed > 0) process.exitCode = 1
