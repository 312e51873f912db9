// npm run demo:make: writes the demo shop's file anew.
import { writeFileSync } from 'node:fs';
import { heronSlipFile } from './heron-slip';

writeFileSync(new URL('./heron-slip.json', import.meta.url), heronSlipFile());
