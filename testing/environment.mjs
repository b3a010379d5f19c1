import { TestEnvironment } from 'jest-environment-node';
import { saysHow } from './says-how.mjs';

/** Where tests run that need no page. */
export default saysHow(TestEnvironment);
