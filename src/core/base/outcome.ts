/** Something a person can mend: the field it is about, and a sentence that names it and says how. */
export interface Problem {
  readonly field: string;
  readonly message: string;
}

/** The result of something a person asked for: done, or what to mend. Faults nobody can mend are thrown. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const refused = (field: string, message: string): Outcome<never> => ({
  ok: false,
  problems: [{ field, message }],
});
