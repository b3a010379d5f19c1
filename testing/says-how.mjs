import path from 'node:path';

/** An environment that puts before every failure when it was run, with which seed, and how to run it alone. */
export const saysHow = (Environment) =>
  class SaysHow extends Environment {
    constructor(config, context) {
      super(config, context);
      const { rootDir, displayName } = config.projectConfig;
      this.file = path.relative(rootDir, context.testPath);
      this.project = displayName?.name;
    }

    handleTestEvent({ name, error, test }) {
      if (name === 'test_fn_failure' || name === 'hook_failure') prefix(error, this.says(test));
    }

    says(test) {
      const { VOWSTEP_TEST_SAID, VOWSTEP_TEST_ASK = '', TZ } = process.env;
      const when = VOWSTEP_TEST_SAID ?? `On ${new Date().toLocaleDateString('sv-SE')} in ${TZ ?? 'UTC'}.`;
      const browser = this.file.startsWith('e2e');
      const project = browser ? ` --selectProjects ${this.project}` : '';
      const only = test ? ` -t ${quoted(asPattern(nameOf(test)))}` : '';
      const command = browser
        ? `npm run e2e -- ${path.basename(this.file, '.e2e.ts')}`
        : `${TZ ? `TZ=${TZ} ` : ''}npm run unit -- ${this.file}`;
      return `${when} Alone: ${VOWSTEP_TEST_ASK}${command}${project}${only}`;
    }
  };

/** A test's name with those of the groups round it, as `-t` wants it. */
function nameOf(test) {
  const names = [];
  for (let one = test; one.parent; one = one.parent) names.unshift(one.name);
  return names.join(' ');
}

const asPattern = (text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const quoted = (text) => `'${text.replaceAll("'", "'\\''")}'`;

function prefix(error, line) {
  if (!error || typeof error !== 'object' || typeof error.stack !== 'string') return;
  if (error.stack.startsWith(line)) return;
  error.stack = `${line}\n${error.stack}`;
}
