import { catalogue } from '@/catalogue';

// A reader that has seen enough (`| head`) is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});
process.stdout.write(
  `${JSON.stringify({ format: 'vowstep-catalogue', version: 1, drills: catalogue }, null, 2)}\n`,
);
