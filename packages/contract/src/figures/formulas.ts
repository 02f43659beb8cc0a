/** What a spreadsheet steps over in front of a formula: blanks, controls and marks that print nothing. */
const unseen = String.raw`[\s\p{Cc}\p{Cf}]*`
/** The signs that begin one, also as they are in full width and small. */
const begins = '[=+\\-@＝＋－＠﹢﹣﹦﹫]'

/** A cell that a spreadsheet would run, or might: what goes out is defused by it, with an apostrophe in front. */
export const formulaCell = new RegExp(`^(${unseen}${begins}|[\\t\\r])`, 'u')

/** An apostrophe that was put in front of such a cell is no part of what it says. */
export const withoutApostrophe = (text: string): string =>
  text.startsWith("'") && formulaCell.test(text.slice(1)) ? text.slice(1) : text

/** Whether a cell that comes in would be run: a sign alone, or in front of a figure, is no formula. */
export const isFormula = (text: string): boolean =>
  new RegExp(`^${unseen}([=@＝＠﹦﹫]|[+\\-＋－﹢﹣]\\s*[\\p{L}(])`, 'u').test(text)
