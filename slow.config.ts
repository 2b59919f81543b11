import base from './playwright.config'
export default { ...base, testDir: '/work/main/tests/e2e', outputDir: process.env.OUT, globalSetup: undefined, workers: 1, reporter: [['list']], use: { ...base.use, launchOptions: { ...base.use!.launchOptions, slowMo: Number(process.env.SLOW) } }, expect: { timeout: 15000 } }
