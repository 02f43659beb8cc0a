export { absorption } from './absorption'
export { insulationAt40 } from './insulationAt40'
export {
  judgeInsulation,
  type InsulationInput,
  type InsulationJudgement,
  type InsulationKind,
  type InsulationReason,
} from './judgeInsulation'
