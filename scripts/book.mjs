import { ensureModules } from './lib/install.js';
import { bin, main, run } from './lib/run.js';

/** `npm run backup [FILE]` and `npm run restore FILE`: copies of the book, looked through on the way. */
await main(async () => {
  await ensureModules();
  // It has said itself what is wrong.
  await run(bin('tsx'), ['scripts/book.ts', ...process.argv.slice(2)]).catch(({ code }) =>
    process.exit(code),
  );
});
