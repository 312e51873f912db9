// npm run demo:make: writes the demo shops' files anew.
import { writeFileSync } from 'node:fs';
import { heronSlipFile } from './heron-slip';
import { ternSchoolFile } from './tern-school';
import { wrenCellarFile } from './wren-cellar';

const FILES = {
  'heron-slip': heronSlipFile,
  'wren-cellar': wrenCellarFile,
  'tern-school': ternSchoolFile,
} as const;

for (const [name, file] of Object.entries(FILES)) {
  writeFileSync(new URL(`./${name}.json`, import.meta.url), file());
}
