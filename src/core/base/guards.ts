/* What a value from outside is, where nothing about it may be taken on trust. */

export const isText = (value: unknown): value is string => typeof value === 'string';

/** A number that can be reckoned with. */
export const isFiniteNumber = (value: unknown): value is number => Number.isFinite(value);

/** An object with named parts: no list, not null. */
export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
