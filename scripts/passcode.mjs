import { ensureModules } from './lib/install.js';
import { bin, main, run } from './lib/run.js';

/** `npm run passcode`: gives an owner a passcode, on the computer the book is on. */
await main(async () => {
  await ensureModules();
  // It has said itself what is wrong.
  await run(bin('tsx'), ['scripts/passcode.ts'], { stdin: 'inherit' }).catch(({ code }) =>
    process.exit(code),
  );
});
