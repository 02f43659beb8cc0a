export { fourWireMeter, knobMeter, pocketMeter, Script, type ScriptOptions } from './script'
