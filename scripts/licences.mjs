/** Every package that is shipped may be: its licence is one of a short list. Ends with 1 and names the others. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './prepare.mjs'

const allowed = [
  'MIT',
  'MIT-0',
  // The same words under an older name.
  'MIT/X11',
  'Zlib',
  'ISC',
  '0BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'CC-BY-4.0',
  'Unlicense',
  'Python-2.0',
  // Fonts.
  'OFL-1.1',
  // Taken as it is, by the build alone.
  'MPL-2.0',
  // The picture library's own core, linked and not changed.
  'LGPL-3.0-or-later',
]

/** "(MIT OR CC0-1.0)" is fine when one is; "A AND B" only when both are. */
const isFine = (licence) =>
  licence
    .replace(/[()]/g, '')
    .split(/ AND /i)
    .every((part) => part.split(/ OR /i).some((one) => allowed.includes(one.trim())))

/** Said in the package's LICENSE file alone. */
const byFile = { 'node_modules/suncalc': 'BSD-2-Clause', 'node_modules/png-js': 'MIT' }

const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'))
const shipped = Object.entries(packages).filter(([path, one]) => path !== '' && !one.dev)
const wrong = shipped.filter(([path, one]) => !isFine(one.license ?? byFile[path] ?? 'none said'))
for (const [path, one] of wrong) console.error(`${path}: ${one.license ?? 'no licence said'}`)
console.log(`${shipped.length} packages, ${wrong.length} with a licence that is not on the list`)
process.exit(wrong.length === 0 ? 0 : 1)
