import fc from 'fast-check'

fc.configureGlobal({ numRuns: 25 })
