/** Runs files of tests in a spoilt copy, those that read one of the files changed, one after another as its parent asks. */
import { writeFileSync } from 'node:fs'
import { createVitest } from 'vitest/node'

const [, , wishPath, ...related] = process.argv
process.env.MUTATE_WISH = wishPath
const quiet = { onInit() {} }
writeFileSync(wishPath, JSON.stringify({ on: null, only: null, note: null }))
const vitest = await createVitest('test', { watch: false, reporters: [quiet], related })
const files = new Map()
for (const one of await vitest.getRelevantTestSpecifications()) files.set(one.moduleId, one)

process.on('message', async ({ file, ...wish }) => {
  writeFileSync(wishPath, JSON.stringify(wish))
  const since = Date.now()
  const { testModules, unhandledErrors } = await vitest.runTestSpecifications([files.get(file)])
  const failed = unhandledErrors.length > 0 || testModules.some((one) => !one.ok())
  const why = failed
    ? testModules
        .flatMap((one) => [
          ...one.errors(),
          ...[...one.children.allTests('failed')].flatMap((test) => test.result().errors ?? []),
        ])
        .concat(unhandledErrors)
        .map((error) => String(error.message ?? error))[0]
    : null
  process.send({ failed, why, ms: Date.now() - since })
})
process.send({ files: [...files.keys()] })
