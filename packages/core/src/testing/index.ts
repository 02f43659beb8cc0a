export { chargingCard, coarseCard, demoCard, twinCard } from './cards'
export { fourWireMeter, knobMeter, pocketMeter, Script, type ScriptOptions } from './script'
