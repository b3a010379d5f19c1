import { TestEnvironment } from 'jest-environment-jsdom';
import { saysHow } from './says-how.mjs';

/** Where hooks are tested: a page without a browser. A file asks for it in its first lines: `@jest-environment`. */
export default saysHow(TestEnvironment);
