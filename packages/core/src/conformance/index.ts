export { above, atLeast, atMost, below } from './withSlack'
export { judgeBelow, judgeBeyond, openFrom, type BoundJudgement, type BoundReason } from './judgeBound'
export { judgeValue, type ValueJudgement, type Verdict } from './judgeValue'
export { bandOf, expectedOf, gradeOf, limitsFor, rounded, weaker, type Band } from './limits'
