export { chargingCard, coarseCard, demoCard, twinCard } from './cards'
export * from './kit'
export { Script, type ScriptOptions } from './script'
export {
  armatureCard,
  compressorCard,
  leadsCard,
  pickupCard,
  plainCard,
  plainCheck,
  plainTerminals,
  relayCard,
  senderCard,
  valveCard,
} from './plainCards'
export { randomText } from './randomText'
export { decidedByOhms, readPath, workThrough, type Bench } from './technician'
export { sceneOf, scenes, type Scene } from './scene'
export { draws } from './draws'
export { goingOn, rewindOf } from './rewinding'
