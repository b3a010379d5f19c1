import { catalogue } from '@/drills';
import { families, sports } from '../src/drills/base/types';
import { measures, type Measure } from '@/core/counting/measure';
import { bundleOf } from '../src/server/drills/drill-file';

/* Prints every drill as a file that can be imported; with --summary only what there is, counted. */

// A reader that has seen enough (`| head`) is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

function summary(): string {
  const drills = (list: typeof catalogue) =>
    `${list.length} drills, ${list.reduce((sum, drill) => sum + drill.steps.length, 0)} steps`;
  const steps = catalogue.flatMap((drill) => drill.steps);
  const line = (name: string, text: string) => `  ${name.padEnd(14)} ${text}`;
  return [
    `All            ${drills(catalogue)}`,
    'By family',
    ...families.map((family) => line(family, drills(catalogue.filter((drill) => drill.family === family)))),
    'By sport',
    ...sports.map((sport) => line(sport, drills(catalogue.filter((drill) => drill.sports.includes(sport))))),
    line('both', drills(catalogue.filter((drill) => drill.sports.length === sports.length))),
    'By measure',
    ...(Object.keys(measures) as Measure[]).map((measure) =>
      line(measure, `${steps.filter((step) => step.measure === measure).length} steps`),
    ),
  ].join('\n');
}

const text = process.argv.includes('--summary') ? summary() : JSON.stringify(bundleOf(catalogue), null, 2);
process.stdout.write(`${text}\n`);
