/** Says in one line what is being done. */
export const say = (line) => process.stdout.write(`${line}\n`)

/** An end that a person can act on: a sentence, no stack. */
export class Stop extends Error {}

/** Runs a command's main function; a Stop is said and ends with code 1, anything else is told whole. */
export async function run(main) {
  try {
    await main()
  } catch (error) {
    if (error?.code === 'ENOSPC')
      process.stderr.write('The disk is full. Free some space (about 1 GB) and start again.\n')
    else process.stderr.write(`${error instanceof Stop ? error.message : (error?.stack ?? error)}\n`)
    process.exitCode = 1
  }
}
