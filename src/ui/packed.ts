/**
 * What a page gives to its screen, as one JSON text. The framework walks every value of a prop on its way to the browser,
 * which costs more than making the page once there are thousands; a text is one value.
 */
export type Packed<T> = string & { readonly of?: T };

/** Only plain data comes out as it went in: no `undefined`, no Infinity, no dates. */
export const pack = <T>(value: T): Packed<T> => JSON.stringify(value);

export const unpack = <T>(packed: Packed<T>): T => JSON.parse(packed) as T;
