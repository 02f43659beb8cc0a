export { above, atLeast, atMost, below } from './compare'
export { judgeBelow, judgeBeyond, openFrom, type BoundJudgement, type BoundReason } from './judgeBound'
export { judgeValue, type ValueJudgement, type Verdict } from './judgeValue'
export { bandOf, gradeOf, limitsFor, rounded, weaker, type Band } from './limits'
