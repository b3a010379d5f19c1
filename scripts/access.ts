import { readFileSync, writeFileSync } from 'node:fs';
import { accessTable, allDoors, withTable } from './lib/access';

/** `npm run -s access`: writes the table of who may come in where into docs/security.md. */
const file = 'docs/security.md';
writeFileSync(file, withTable(readFileSync(file, 'utf8'), accessTable(allDoors())));
