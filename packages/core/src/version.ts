/** The version of the judgement: stored with every finding, printed on every sheet. Raised when a verdict could change. */
export const coreVersion = '0.1.0'
