export { draftFor, FiguresDraft, type Applied } from './figuresDraft'
export { limitColumn, readUnit, textColumns, units, type FigureLine } from './columns'
export { readLines, type ReadLine } from './readLines'
export { cellsOf, linesOf } from './writeLines'
