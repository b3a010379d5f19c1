import Sequencer from '@jest/test-sequencer';

/** Walks that take the longest, as they were when last looked at: begun last, one of them would keep one worker busy alone. */
const longest = ['views', 'plan', 'vows', 'measures', 'doors', 'court', 'away', 'every-day', 'plan-changes'];

/** On a fresh machine nobody knows how long a walk takes, and the size of its file says little: these come first. */
export default class LongestFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = longest.findIndex((name) => path.endsWith(`/${name}.e2e.ts`));
      return at === -1 ? longest.length : at;
    };
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
}
